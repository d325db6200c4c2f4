import { rivalSchema } from '#shared/rivals/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { refuseStale } from '#server/http/stale'
import { changeRival, rivalOf } from '#server/places/rivals/rivals'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  const rival = await bodyOf(event, rivalSchema)
  refuseStale(event, 'the rival', await rivalOf(db, id))
  return changeRival(db, id, rival)
})
