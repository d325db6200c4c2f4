import { asFile } from '#server/http/asFile'
import { defineCall } from '#server/http/defineCall'
import { wholeCalendar } from '#server/places/ledger/calendar'

export default defineCall('GET /api/ledger/calendar', async ({ db, today, event }) =>
  asFile(event, await wholeCalendar(db, today), 'text/calendar', 'tarvin-dates.ics'),
)
