import { useDatabase } from '~~/server/db/useDatabase'
import { jsonRoute } from '~~/server/http/jsonRoute'
import { libraryView } from '~~/server/services/libraryView'

export default jsonRoute(async () => libraryView(await useDatabase()))
