import { array, object } from 'yup'
import { oneOf, wholeFrom } from '#shared/fields'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setOverride } from '#server/context/market'
import { priceView } from '#server/places/prices/readPrices'

const schema = object({
  recordIds: array().of(wholeFrom(1).required()).required().min(1).max(20_000),
  decision: oneOf(['keep', 'drop']).nullable().defined(),
})

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const part = getRouterParam(event, 'part')!
  const { recordIds, decision } = await bodyOf(event, schema)
  await setOverride(db, part, recordIds, decision)
  return priceView(db, getRouterParam(event, 'id')!, part, today())
})
