import { array, object } from 'yup'
import { text, trimmed } from '#shared/fields'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { openAsVariant } from '#server/places/scales/match'

const schema = object({
  name: trimmed().required('enter a name').max(80),
  options: array()
    .of(object({ id: text().required().max(240) }))
    .required()
    .min(1)
    .max(20),
})

export default buildRoute(async (event) => ({
  id: await openAsVariant(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    await bodyOf(event, schema),
    today(),
  ),
}))
