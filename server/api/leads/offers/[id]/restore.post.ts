import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { setOfferDeleted } from '#server/places/leads/haggle'

export default jsonRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await setOfferDeleted(await useDatabase(), id, null)
  return { id }
})
