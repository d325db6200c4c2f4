import { choicePatchSchema } from '#shared/machine/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/places/builds/buildView'
import { changeInherited, isInherited, isItem } from '#server/places/builds/variants'
import { arrange } from '#server/places/ledger/itemSteps'
import { changeChoice } from '#server/places/machine/choices'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  const change = await bodyOf(event, choicePatchSchema)
  const variant = getQuery(event).in
  if (typeof variant === 'string' && (await isInherited(db, id, variant))) {
    await changeInherited(db, variant, id, change)
    return buildView(db, variant, today())
  }
  if (await isItem(db, id)) {
    const { scope, reason, leftOut } = change
    const buildId = await arrange(db, id, { scope, reason, leftOut, isBuiltIn: undefined }, today())
    return buildView(db, buildId!, today())
  }
  return buildView(
    db,
    await changeChoice(db, id, change as Parameters<typeof changeChoice>[2], today()),
    today(),
  )
})
