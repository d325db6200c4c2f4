import { buildStrips } from '#server/places/builds/readBuilds'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/builds', async ({ db, today }) => buildStrips(db, today))
