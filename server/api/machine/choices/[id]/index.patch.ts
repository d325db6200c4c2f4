import { buildAfter } from '#server/places/builds/buildView'
import { changeInherited, isInherited, isItem } from '#server/places/builds/variants'
import { arrange } from '#server/places/ledger/itemSteps'
import { changeChoice } from '#server/places/machine/choices'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PATCH /api/machine/choices/:id', async ({ db, params, body, today, query }) => {
  const change = body
  if (query.in !== '' && (await isInherited(db, params.id, query.in))) {
    await changeInherited(db, query.in, params.id, change)
    return buildAfter(db, query.in, today)
  }
  if (await isItem(db, params.id)) {
    const { scope, reason, leftOut } = change
    const buildId = await arrange(db, params.id, { scope, reason, leftOut, isBuiltIn: undefined }, today)
    return buildAfter(db, buildId!, today)
  }
  return buildAfter(
    db,
    await changeChoice(db, params.id, change as Parameters<typeof changeChoice>[2], today),
    today,
  )
})
