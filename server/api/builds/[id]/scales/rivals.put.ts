import { refuseStale } from '#server/http/stale'
import { setRivals } from '#server/places/scales/setRivals'
import { rivalsOf } from '#server/places/scales/readScales'
import { buildAfter } from '#server/places/builds/buildView'
import { defineCall } from '#server/http/defineCall'
import { useWorld } from '#server/readings/useWorld'

export default defineCall('PUT /api/builds/:id/scales/rivals', async ({ db, params, body, today, event }) => {
  const saved = rivalsOf(await useWorld(db), params.id)
  refuseStale(
    event,
    'the list of rivals',
    saved.map(({ id }) => id),
  )
  await setRivals(db, params.id, body.rivals, today)
  return buildAfter(db, params.id, today)
})
