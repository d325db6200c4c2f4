import { rateSchema } from '#shared/settings/rates'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setRate } from '#server/places/settings/rates'

export default writeRoute(async (event) =>
  setRate(await useDatabase(), await bodyOf(event, rateSchema), today()),
)
