import { opinionSchema } from '#shared/prices/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { noteOpinion } from '#server/places/prices/notes'

export default writeRoute(async (event) => ({
  id: await noteOpinion(await useDatabase(), await bodyOf(event, opinionSchema), today()),
}))
