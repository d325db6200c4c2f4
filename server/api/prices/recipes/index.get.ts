import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { recipes } from '#server/places/prices/notes'

export default jsonRoute(async () => recipes(await useDatabase()))
