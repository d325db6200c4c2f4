import { tiersView } from '#server/places/scales/readTiers'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/rivals/tiers', async ({ db, today }) => tiersView(db, today))
