import { sessionView } from '#server/places/builds/readBuilds'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/session', async ({ db, today }) => sessionView(db, today))
