import { removeGame } from '#server/places/work/games'
import { defineCall } from '#server/http/defineCall'

export default defineCall('DELETE /api/work/games/:id', async ({ db, params }) => {
  await removeGame(db, params.id)
  return { done: true as const }
})
