import { librarySchema } from '#shared/parts/libraryFile'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { importLibrary } from '#server/places/parts/importLibrary'

export default jsonRoute(async (event) =>
  importLibrary(await useDatabase(), await bodyOf(event, librarySchema)),
)
