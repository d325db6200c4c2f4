import { refuseStale, refuseTaken } from '#server/http/stale'
import { gameOf, saveGame } from '#server/places/work/games'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PUT /api/work/games', async ({ db, body: game, event }) => {
  const saved = await gameOf(db, game.id)
  refuseTaken(event, 'a game with that name', saved)
  refuseStale(event, 'the game', saved)
  return saveGame(db, game)
})
