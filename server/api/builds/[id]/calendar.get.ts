import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { buildCalendar } from '#server/places/ledger/calendar'

export default jsonRoute(async (event) => {
  const calendar = await buildCalendar(await useDatabase(), getRouterParam(event, 'id')!, today())
  setHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setHeader(event, 'content-disposition', 'attachment; filename="dates.ics"')
  return calendar
})
