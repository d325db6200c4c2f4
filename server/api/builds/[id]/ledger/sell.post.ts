import { machineSaleSchema } from '#shared/ledger/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/places/builds/buildView'
import { sellMachine } from '#server/places/ledger/machineSteps'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  await sellMachine(db, id, await bodyOf(event, machineSaleSchema), today())
  return buildView(db, id, today())
})
