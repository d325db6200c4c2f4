import { libraryView } from '#server/context/readLibrary'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/library', async ({ db }) => libraryView(db))
