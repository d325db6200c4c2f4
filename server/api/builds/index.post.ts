import { briefSchema } from '#shared/brief/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { createBuild } from '#server/places/builds/builds'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  return { id: await createBuild(db, await bodyOf(event, briefSchema), today()) }
})
