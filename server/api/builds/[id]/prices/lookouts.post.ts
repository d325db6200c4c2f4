import { lookoutSchema } from '#shared/prices/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setLookout } from '#server/places/prices/lookouts'

export default buildRoute(async (event) => ({
  id: await setLookout(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    await bodyOf(event, lookoutSchema),
    today(),
  ),
}))
