import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { libraryView } from '#server/context/readLibrary'

export default jsonRoute(async () => libraryView(await useDatabase()))
