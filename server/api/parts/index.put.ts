import { partSchema } from '#shared/parts/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { savePart } from '#server/places/parts/parts'

export default jsonRoute(async (event) => savePart(await useDatabase(), await bodyOf(event, partSchema)))
