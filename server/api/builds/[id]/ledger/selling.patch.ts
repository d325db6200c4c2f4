import { sellingChangeSchema } from '#shared/ledger/selling'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/places/builds/buildView'
import { setSelling } from '#server/places/ledger/selling'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  await setSelling(db, id, await bodyOf(event, sellingChangeSchema), today())
  return buildView(db, id, today())
})
