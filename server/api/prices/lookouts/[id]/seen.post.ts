import { seeHit } from '#server/places/prices/lookouts'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/prices/lookouts/:id/seen', async ({ db, params, body, today }) => {
  const { leadId } = body
  await seeHit(db, params.id, leadId, today)
  return { seen: leadId }
})
