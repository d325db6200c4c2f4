import { useDatabase } from '#server/db/useDatabase'
import { NotFoundError } from '#server/errors/notFoundError'
import { jsonRoute } from '#server/http/jsonRoute'
import { tellTag } from '#server/http/stale'
import { gameOf } from '#server/places/work/games'

export default jsonRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  const game = await gameOf(await useDatabase(), id)
  if (!game) throw new NotFoundError(`there is no game "${id}"`)
  tellTag(event, game)
  return game
})
