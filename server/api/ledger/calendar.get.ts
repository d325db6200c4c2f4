import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { wholeCalendar } from '#server/places/ledger/calendar'

export default jsonRoute(async (event) => {
  const calendar = await wholeCalendar(await useDatabase(), today())
  setHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setHeader(event, 'content-disposition', 'attachment; filename="tarvin-dates.ics"')
  return calendar
})
