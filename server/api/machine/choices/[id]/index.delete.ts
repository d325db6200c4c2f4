import { buildAfter } from '#server/places/builds/buildView'
import { isInherited, isItem, setDropped } from '#server/places/builds/variants'
import { move } from '#server/places/ledger/itemSteps'
import { changeChoice } from '#server/places/machine/choices'
import { defineCall } from '#server/http/defineCall'

/** Takes a choice out; a thing of mine goes to the shelf, and a variant does without it. */
export default defineCall('DELETE /api/machine/choices/:id', async ({ db, params, today, now, query }) => {
  if (query.in !== '' && (await isInherited(db, params.id, query.in))) {
    await setDropped(db, query.in, params.id, true)
    return buildAfter(db, query.in, today)
  }
  const buildId = (await isItem(db, params.id))
    ? await move(db, params.id, { day: today, buildId: null, scope: undefined }, today)
    : await changeChoice(db, params.id, { deletedAt: now }, today)
  return buildAfter(db, buildId!, today)
})
