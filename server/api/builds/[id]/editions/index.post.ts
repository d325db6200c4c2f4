import { editionSchema } from '#shared/builds/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { editionsView, freezeEdition } from '#server/places/builds/editions'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  const { name, asOf } = await bodyOf(event, editionSchema)
  await freezeEdition(db, id, name, today(), asOf)
  return editionsView(db, id, today())
})
