import { editionsAfter, freezeEdition } from '#server/places/builds/editions'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/editions', async ({ db, params, body, today }) => {
  const { name, asOf } = body
  await freezeEdition(db, params.id, name, today, asOf)
  return editionsAfter(params.id, today)
})
