import { choiceSchema } from '#shared/machine/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { addChoice } from '#server/places/machine/choices'
import { buildView } from '#server/places/builds/buildView'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  await addChoice(db, id, await bodyOf(event, choiceSchema), today())
  return buildView(db, id, today())
})
