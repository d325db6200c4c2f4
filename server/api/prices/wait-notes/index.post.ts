import { waitNoteSchema } from '#shared/prices/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { noteToWaitFor } from '#server/places/prices/notes'

export default writeRoute(async (event) => ({
  id: await noteToWaitFor(await useDatabase(), await bodyOf(event, waitNoteSchema)),
}))
