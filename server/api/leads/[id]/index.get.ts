import { leadInput } from '#server/places/leads/leads'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/leads/:id', async ({ db, params }) => leadInput(db, params.id))
