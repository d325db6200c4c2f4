import { openAdvice } from '#server/places/machine/advice'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/builds/:id/machine/advice', async ({ db, params, body, today }) => {
  const { text } = body
  return openAdvice(db, params.id, text, today)
})
