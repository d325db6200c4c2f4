import { gameSchema } from '#shared/work/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { refuseStale, refuseTaken } from '#server/http/stale'
import { gameOf, saveGame } from '#server/places/work/games'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  const game = await bodyOf(event, gameSchema)
  const saved = await gameOf(db, game.id)
  refuseTaken(event, 'a game with that name', saved)
  refuseStale(event, 'the game', saved)
  return saveGame(db, game)
})
