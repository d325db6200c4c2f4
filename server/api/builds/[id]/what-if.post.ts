import { buildRow } from '#server/context/findBuild'
import { defineCall } from '#server/http/defineCall'
import { useWorld } from '#server/readings/useWorld'
import { changesOf } from '#server/whatif/changesOf'
import { whatIf } from '#server/whatif/whatIf'

/** What changes of a build would come to; nothing is written. */
export default defineCall('POST /api/builds/:id/what-if', async ({ db, params: { id }, body, today }) => {
  const world = await useWorld(db)
  return whatIf(world, id, changesOf(body.changes, buildRow(world, id).currency), today)
})
