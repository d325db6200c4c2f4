import { assembledSchema } from '#shared/machine/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { setAssembled } from '#server/places/machine/assembled'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  return {
    assembled: await setAssembled(db, getRouterParam(event, 'id')!, await bodyOf(event, assembledSchema)),
  }
})
