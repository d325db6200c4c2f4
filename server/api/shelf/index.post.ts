import { shelfSchema } from '#shared/schemas/entities'
import { useDatabase } from '~~/server/db/useDatabase'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { addToShelf } from '~~/server/services/libraryDeeds'

export default jsonRoute(async (event) => addToShelf(await useDatabase(), await bodyOf(event, shelfSchema)))
