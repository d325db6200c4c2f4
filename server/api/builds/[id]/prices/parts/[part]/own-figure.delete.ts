import { useDatabase } from '#server/db/useDatabase'
import { buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setOwnFigure } from '#server/places/prices/notes'
import { priceView } from '#server/places/prices/readPrices'

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const [build, part] = [getRouterParam(event, 'id')!, getRouterParam(event, 'part')!]
  await setOwnFigure(db, build, part, null, today())
  return priceView(db, build, part, today())
})
