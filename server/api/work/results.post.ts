import { workResultSchema } from '#shared/work/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { addWorkResult } from '#server/places/work/work'

export default writeRoute(async (event) =>
  addWorkResult(await useDatabase(), await bodyOf(event, workResultSchema), today()),
)
