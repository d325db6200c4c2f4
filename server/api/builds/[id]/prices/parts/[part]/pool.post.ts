import { recordPool } from '#server/context/market'
import { defineCall } from '#server/http/defineCall'

/** The records a changed query could count, for trying it out in the browser. */
export default defineCall('POST /api/builds/:id/prices/parts/:part/pool', async ({ db, params, body }) =>
  recordPool(db, params.part, body.must),
)
