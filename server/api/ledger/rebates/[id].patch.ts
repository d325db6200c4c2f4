import { rebateStepSchema } from '#shared/ledger/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { stepRebate } from '#server/places/ledger/rebateSteps'

export default writeRoute(async (event) => ({
  buildId: await stepRebate(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    await bodyOf(event, rebateStepSchema),
    today(),
  ),
}))
