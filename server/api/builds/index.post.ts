import { briefSchema } from '#shared/brief/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { createBuild } from '#server/places/builds/builds'

export default jsonRoute(async (event) => {
  const db = await useDatabase()
  return { id: await createBuild(db, await bodyOf(event, briefSchema), today()) }
})
