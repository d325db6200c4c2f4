import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setOfferDeleted } from '#server/places/leads/haggle'

export default writeRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await setOfferDeleted(await useDatabase(), id, today())
  return { id }
})
