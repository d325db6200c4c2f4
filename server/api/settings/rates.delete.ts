import { rateKeySchema } from '#shared/settings/rates'
import { useDatabase } from '#server/db/useDatabase'
import { today } from '#server/http/today'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { removeRate } from '#server/places/settings/rates'

export default writeRoute(async (event) =>
  removeRate(await useDatabase(), await bodyOf(event, rateKeySchema), today()),
)
