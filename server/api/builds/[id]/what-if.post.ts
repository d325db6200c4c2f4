import { buildRow } from '#server/context/findBuild'
import { defineCall } from '#server/http/defineCall'
import { whatIfWeighed } from '#server/places/scales/whatIfWeighed'
import { useWorld } from '#server/readings/useWorld'
import { changesOf } from '#server/places/builds/changesOf'

/** What changes of a build would come to; nothing is written. */
export default defineCall('POST /api/builds/:id/what-if', async ({ db, params: { id }, body, today }) => {
  const world = await useWorld(db)
  const { currency } = buildRow(world, id)
  return whatIfWeighed(world, id, changesOf(body.changes, world, currency), today)
})
