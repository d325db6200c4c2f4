import { returnSchema } from '#shared/schemas/entities'
import { useDatabase } from '~~/server/db/useDatabase'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { today } from '~~/server/http/today'
import { buildView } from '~~/server/services/buildView'
import { stepReturn } from '~~/server/services/purchase/purchase'

export default jsonRoute(async (event) => {
  const db = await useDatabase()
  const buildId = await stepReturn(
    db,
    getRouterParam(event, 'id')!,
    await bodyOf(event, returnSchema),
    today(),
  )
  return buildView(db, buildId, today())
})
