import { object } from 'yup'
import { text } from '#shared/fields'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { applyRecipe } from '#server/places/prices/notes'
import { priceView } from '#server/places/prices/readPrices'

const schema = object({ recipeId: text().required('choose a saved query') })

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const [build, part] = [getRouterParam(event, 'id')!, getRouterParam(event, 'part')!]
  await applyRecipe(db, (await bodyOf(event, schema)).recipeId, part)
  return priceView(db, build, part, today())
})
