import { rivalSchema } from '#shared/rivals/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { changeRival } from '#server/places/rivals/rivals'

export default jsonRoute(async (event) =>
  changeRival(await useDatabase(), getRouterParam(event, 'id')!, await bodyOf(event, rivalSchema)),
)
