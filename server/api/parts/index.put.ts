import { partSchema } from '#shared/entities'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { savePart } from '#server/places/parts/libraryDeeds'

export default jsonRoute(async (event) => savePart(await useDatabase(), await bodyOf(event, partSchema)))
