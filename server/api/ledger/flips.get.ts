import { flipsView } from '#server/places/ledger/readFlips'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/ledger/flips', async ({ db, today }) => flipsView(db, today))
