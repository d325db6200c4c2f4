import { librarySchema } from '#shared/entities'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { importLibrary } from '#server/context/libraryFile'

export default jsonRoute(async (event) =>
  importLibrary(await useDatabase(), await bodyOf(event, librarySchema)),
)
