import { sourceSchema } from '#shared/sources/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { saveSource } from '#server/places/sources/sources'

export default jsonRoute(async (event) => saveSource(await useDatabase(), await bodyOf(event, sourceSchema)))
