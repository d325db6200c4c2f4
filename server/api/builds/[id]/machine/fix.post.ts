import { mendSchema } from '#shared/schemas/entities'
import { useDatabase } from '~~/server/db/useDatabase'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { today } from '~~/server/http/today'
import { buildView } from '~~/server/services/buildView'
import { takeWay } from '~~/server/services/mend'

export default jsonRoute(async (event) => {
  const db = await useDatabase()
  const build = getRouterParam(event, 'id')!
  await takeWay(db, build, await bodyOf(event, mendSchema), today())
  return buildView(db, build, today())
})
