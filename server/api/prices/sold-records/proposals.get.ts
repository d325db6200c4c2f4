import { useDatabase } from '#server/db/useDatabase'
import { proposalsRequest } from '#shared/prices/proposals'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { proposalsOf } from '#server/places/prices/proposals'

/** Parts that could be made of the past sales of an import: `?import=12&currency=CAD`. */
export default jsonRoute(async (event) => {
  const query = getQuery(event)
  const stated = proposalsRequest.validateSync({ ...query, import: Number(query.import) })
  return proposalsOf(await useDatabase(), stated.import, today(), stated.currency)
})
