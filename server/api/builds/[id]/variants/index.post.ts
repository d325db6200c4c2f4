import { variantSchema } from '#shared/builds/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { createVariant } from '#server/places/builds/variants'

export default buildRoute(async (event) => ({
  id: await createVariant(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    (await bodyOf(event, variantSchema)).name,
    today(),
  ),
}))
