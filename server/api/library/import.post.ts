import { librarySchema } from '#shared/parts/libraryFile'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { importLibrary } from '#server/places/parts/importLibrary'

export default writeRoute(
  async (event) => importLibrary(await useDatabase(), await bodyOf(event, librarySchema)),
  64 * 1024 * 1024,
)
