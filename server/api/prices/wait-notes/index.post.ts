import { waitNoteSchema } from '#shared/prices/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { noteToWaitFor } from '#server/places/prices/notes'

export default jsonRoute(async (event) => ({
  id: await noteToWaitFor(await useDatabase(), await bodyOf(event, waitNoteSchema)),
}))
