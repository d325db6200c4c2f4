import { adviceSchema } from '#shared/machine/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { openAdvice } from '#server/places/machine/advice'

export default buildRoute(async (event) => {
  const { text } = await bodyOf(event, adviceSchema)
  return openAdvice(await useDatabase(), getRouterParam(event, 'id')!, text, today())
})
