import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { setOfferDeleted } from '#server/places/leads/haggle'

export default writeRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await setOfferDeleted(await useDatabase(), id, null)
  return { id }
})
