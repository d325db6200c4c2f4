import { NotFoundError } from '#server/errors/notFoundError'
import { gameOf } from '#server/places/work/games'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/work/games/:id', async ({ db, params }) => {
  const game = await gameOf(db, params.id)
  if (!game) throw new NotFoundError('game', params.id)
  return game
})
