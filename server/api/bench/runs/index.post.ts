import { runSchema } from '#shared/bench/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { addRun } from '#server/places/bench/runs'

export default writeRoute(async (event) =>
  addRun(await useDatabase(), await bodyOf(event, runSchema), today()),
)
