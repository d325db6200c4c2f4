import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { removeGame } from '#server/places/work/games'

export default writeRoute(async (event) => {
  await removeGame(await useDatabase(), getRouterParam(event, 'id')!)
  return { ok: true }
})
