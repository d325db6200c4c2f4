import { arrivalSchema } from '#shared/ledger/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/places/builds/buildView'
import { noteArrival } from '#server/places/ledger/purchase'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  const buildId = await noteArrival(
    db,
    getRouterParam(event, 'id')!,
    await bodyOf(event, arrivalSchema),
    today(),
  )
  return buildView(db, buildId, today())
})
