import { defineCall } from '#server/http/defineCall'
import { proposalsOf } from '#server/places/prices/proposals'

/** Parts that could be made of the past sales of an import. */
export default defineCall('GET /api/prices/sold-records/proposals', async ({ db, query, today }) =>
  proposalsOf(db, query.import, today, query.currency),
)
