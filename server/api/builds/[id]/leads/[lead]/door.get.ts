import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { doorPageOf } from '#server/places/leads/door'

/** The page for the door, to be kept on a phone: it needs no net. */
export default jsonRoute(async (event) => {
  const [id, lead] = [getRouterParam(event, 'id')!, getRouterParam(event, 'lead')!]
  const page = await doorPageOf(await useDatabase(), id, lead, today())
  setHeader(event, 'content-type', 'text/html; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="door-${lead.replace(/[^\w-]/g, '')}.html"`)
  return page
})
