import { frameLogBytes } from '#server/places/bench/runs'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/bench/frame-logs/:id', async ({ db, params, event }) => {
  const bytes = await frameLogBytes(db, params.id)
  setHeader(event, 'content-type', 'application/octet-stream')
  return bytes
})
