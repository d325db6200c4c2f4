import { sourceSchema } from '#shared/entities'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { saveSource } from '#server/places/parts/libraryDeeds'

export default jsonRoute(async (event) => saveSource(await useDatabase(), await bodyOf(event, sourceSchema)))
