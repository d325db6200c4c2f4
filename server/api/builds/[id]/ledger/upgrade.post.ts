import { upgradeSchema } from '#shared/ledger/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { beginUpgrade } from '#server/places/ledger/machineSteps'

export default buildRoute(async (event) => ({
  id: await beginUpgrade(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    await bodyOf(event, upgradeSchema),
    today(),
  ),
}))
