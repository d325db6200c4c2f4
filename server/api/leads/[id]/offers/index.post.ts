import { offerSchema } from '#shared/leads/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { noteOffer } from '#server/places/leads/haggle'

export default writeRoute(async (event) => ({
  id: await noteOffer(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    await bodyOf(event, offerSchema),
    today(),
  ),
}))
