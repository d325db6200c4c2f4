import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { libraryView } from '#server/context/readLibrary'

export default pageRoute(async () => libraryView(await useDatabase()))
