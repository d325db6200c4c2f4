import { shelfSchema } from '#shared/shelf/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { addToShelf } from '#server/places/shelf/shelf'

export default writeRoute(async (event) => addToShelf(await useDatabase(), await bodyOf(event, shelfSchema)))
