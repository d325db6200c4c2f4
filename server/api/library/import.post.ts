import { importLibrary } from '#server/places/parts/importLibrary'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/library/import', async ({ db, body }) => importLibrary(db, body))
