import { driveSchema } from '#shared/ledger/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { driveTrip } from '#server/places/ledger/trips'

export default writeRoute(async (event) => ({
  build: await driveTrip(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    await bodyOf(event, driveSchema),
    today(),
  ),
}))
