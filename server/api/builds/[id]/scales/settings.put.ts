import { findBuild } from '#server/context/findBuild'
import { refuseStale } from '#server/http/stale'
import { buildAfter } from '#server/places/builds/buildView'
import { settingsOf } from '#server/places/scales/readScales'
import { saveWeighing } from '#server/places/scales/scalesSettings'
import { defineCall } from '#server/http/defineCall'

export default defineCall(
  'PUT /api/builds/:id/scales/settings',
  async ({ db, params, body, today, event }) => {
    refuseStale(event, 'how it is compared', settingsOf(await findBuild(db, params.id)))
    await saveWeighing(db, params.id, body)
    return buildAfter(db, params.id, today)
  },
)
