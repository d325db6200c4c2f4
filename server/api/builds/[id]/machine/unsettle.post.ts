import { settledSchema } from '#shared/machine/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/places/builds/buildView'
import { unsettle } from '#server/places/machine/fix'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const build = getRouterParam(event, 'id')!
  await unsettle(db, build, (await bodyOf(event, settledSchema)).key)
  return buildView(db, build, today())
})
