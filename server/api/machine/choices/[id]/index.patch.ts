import { choicePatchSchema } from '#shared/machine/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { stepChoice } from '#server/places/ledger/purchase'
import { buildView } from '#server/places/builds/buildView'
import { changeInherited, isInherited } from '#server/places/builds/variants'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  const change = await bodyOf(event, choicePatchSchema)
  const variant = getQuery(event).in
  if (typeof variant === 'string' && (await isInherited(db, id, variant))) {
    await changeInherited(db, variant, id, change)
    return buildView(db, variant, today())
  }
  const buildId = await stepChoice(db, id, change, today())
  return buildView(db, buildId, today())
})
