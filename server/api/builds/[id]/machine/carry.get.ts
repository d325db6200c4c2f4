import { defineCall } from '#server/http/defineCall'
import { carryView } from '#server/places/machine/readCarry'

export default defineCall('GET /api/builds/:id/machine/carry', async ({ db, params, query, today }) =>
  carryView(db, params.id, query, today),
)
