import { partSchema } from '#shared/schemas/entities'
import { useDatabase } from '~~/server/db/useDatabase'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { savePart } from '~~/server/services/libraryDeeds'

export default jsonRoute(async (event) => savePart(await useDatabase(), await bodyOf(event, partSchema)))
