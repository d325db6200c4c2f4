import { readSettings } from '#server/context/settings'
import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'

export default jsonRoute(async () => readSettings(await useDatabase()))
