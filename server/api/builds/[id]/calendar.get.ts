import { asFile } from '#server/http/asFile'
import { defineCall } from '#server/http/defineCall'
import { buildCalendar } from '#server/places/ledger/calendar'

export default defineCall('GET /api/builds/:id/calendar', async ({ db, params, today, event }) =>
  asFile(event, await buildCalendar(db, params.id, today), 'text/calendar', 'dates.ics'),
)
