import { undoPaste } from '#server/places/pastes/keepPaste'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/pastes/undo', async ({ db, body }) => {
  const { paste } = body
  await undoPaste(db, paste)
  return { undone: paste }
})
