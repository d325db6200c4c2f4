import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setOfferDeleted } from '#server/places/leads/haggle'

export default jsonRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  await setOfferDeleted(await useDatabase(), id, today())
  return { id }
})
