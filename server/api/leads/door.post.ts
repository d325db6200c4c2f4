import { answerFromDoor } from '#server/places/leads/door'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/leads/door', async ({ db, body, today }) =>
  answerFromDoor(db, body.text, today),
)
