import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { learningView } from '#server/places/settings/learning'

export default jsonRoute(async () => learningView(await useDatabase()))
