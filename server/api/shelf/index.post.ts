import { addToShelf } from '#server/places/shelf/shelf'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/shelf', async ({ db, body }) => addToShelf(db, body))
