import { tripSchema } from '#shared/ledger/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { createTrip } from '#server/places/ledger/trips'

export default buildRoute(async (event) => ({
  id: await createTrip(await useDatabase(), getRouterParam(event, 'id')!, await bodyOf(event, tripSchema)),
}))
