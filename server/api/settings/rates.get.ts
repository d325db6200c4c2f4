import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { readRates } from '#server/places/settings/rates'

export default jsonRoute(async () => readRates(await useDatabase()))
