import { shelfSchema } from '#shared/entities'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { addToShelf } from '#server/places/parts/libraryDeeds'

export default jsonRoute(async (event) => addToShelf(await useDatabase(), await bodyOf(event, shelfSchema)))
