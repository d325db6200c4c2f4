import { lookoutSchema } from '#shared/prices/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setLookout } from '#server/places/prices/lookouts'

export default jsonRoute(async (event) => ({
  id: await setLookout(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    await bodyOf(event, lookoutSchema),
    today(),
  ),
}))
