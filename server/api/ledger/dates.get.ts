import { allDates } from '#server/places/ledger/calendar'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/ledger/dates', async ({ db, today }) => allDates(db, today))
