import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/places/builds/buildView'
import { isInherited, isItem, setDropped } from '#server/places/builds/variants'
import { move } from '#server/places/ledger/itemSteps'
import { changeChoice } from '#server/places/machine/choices'

/** Takes a choice out; a thing of mine goes to the shelf, and a variant does without it. */
export default writeRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  const variant = getQuery(event).in
  if (typeof variant === 'string' && (await isInherited(db, id, variant))) {
    await setDropped(db, variant, id, true)
    return buildView(db, variant, today())
  }
  const buildId = (await isItem(db, id))
    ? await move(db, id, { day: today(), buildId: null, scope: undefined }, today())
    : await changeChoice(db, id, { deletedAt: new Date().toISOString() }, today())
  return buildView(db, buildId!, today())
})
