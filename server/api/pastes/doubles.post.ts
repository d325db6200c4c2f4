import { doublesSchema } from '#shared/pastes/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { doublesOf } from '#server/places/pastes/doubles'

const mostBytes = 16 * 1024 * 1024

export default jsonRoute(async (event) => ({
  places: await doublesOf(await useDatabase(), await bodyOf(event, doublesSchema, mostBytes)),
}))
