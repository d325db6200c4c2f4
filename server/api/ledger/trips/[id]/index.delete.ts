import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { giveUpTrip } from '#server/places/ledger/trips'

export default writeRoute(async (event) => {
  await giveUpTrip(await useDatabase(), getRouterParam(event, 'id')!, new Date().toISOString())
  return { done: true }
})
