import { useDatabase } from '~~/server/db/useDatabase'
import { jsonRoute } from '~~/server/http/jsonRoute'
import { recipes } from '~~/server/services/prices/notes'

export default jsonRoute(async () => recipes(await useDatabase()))
