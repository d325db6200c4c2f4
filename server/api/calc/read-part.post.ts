import { readSpec } from '#core/reading/specs/readSpec'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/calc/read-part', async ({ body }) => {
  const { text, role } = body
  return readSpec(text, role ?? null)
})
