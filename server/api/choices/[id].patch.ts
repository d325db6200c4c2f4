import { choicePatchSchema } from '#shared/schemas/entities'
import { useDatabase } from '~~/server/db/useDatabase'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { today } from '~~/server/http/today'
import { changeChoice } from '~~/server/services/builds'
import { payAtTill, unpay } from '~~/server/services/purchase/purchase'
import { buildView } from '~~/server/services/buildView'

export default jsonRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  const { paidOn, ...change } = await bodyOf(event, choicePatchSchema)
  let buildId = await changeChoice(db, id, change, today())
  if (paidOn) buildId = await payAtTill(db, id, paidOn, today())
  else if (paidOn === null) buildId = await unpay(db, id, today())
  return buildView(db, buildId, today())
})
