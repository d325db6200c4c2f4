import { addChoice } from '#server/places/machine/choices'
import { buildAfter } from '#server/places/builds/buildView'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/machine/choices', async ({ db, params, body, today }) => {
  await addChoice(db, params.id, body, today)
  return buildAfter(db, params.id, today)
})
