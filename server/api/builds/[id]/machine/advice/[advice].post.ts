import { adviceStateSchema } from '#shared/machine/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/places/builds/buildView'
import { settleAdvice } from '#server/places/machine/advice'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const build = getRouterParam(event, 'id')!
  const { state } = await bodyOf(event, adviceStateSchema)
  await settleAdvice(db, build, getRouterParam(event, 'advice')!, state, today())
  return buildView(db, build, today())
})
