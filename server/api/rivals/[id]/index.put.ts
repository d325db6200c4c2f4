import { rivalSchema } from '#shared/entities'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { changeRival } from '#server/places/parts/libraryDeeds'

export default jsonRoute(async (event) =>
  changeRival(await useDatabase(), getRouterParam(event, 'id')!, await bodyOf(event, rivalSchema)),
)
