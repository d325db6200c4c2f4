import { librarySchema } from '#shared/schemas/entities'
import { useDatabase } from '~~/server/db/useDatabase'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { importLibrary } from '~~/server/services/library'

export default jsonRoute(async (event) =>
  importLibrary(await useDatabase(), await bodyOf(event, librarySchema)),
)
