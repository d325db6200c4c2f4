import { rivalSchema } from '#shared/entities'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { createRival } from '#server/places/parts/libraryDeeds'

export default jsonRoute(async (event) => createRival(await useDatabase(), await bodyOf(event, rivalSchema)))
