import { saleSchema } from '#shared/shelf/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { sellFromShelf } from '#server/places/ledger/leftovers'

export default writeRoute(async (event) => {
  await sellFromShelf(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    await bodyOf(event, saleSchema),
    today(),
  )
  return { done: true }
})
