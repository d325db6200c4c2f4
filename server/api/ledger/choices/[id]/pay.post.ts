import { paymentSchema } from '#shared/ledger/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/places/builds/buildView'
import { payFor } from '#server/places/ledger/purchase'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  const buildId = await payFor(db, getRouterParam(event, 'id')!, await bodyOf(event, paymentSchema), today())
  return buildView(db, buildId, today())
})
