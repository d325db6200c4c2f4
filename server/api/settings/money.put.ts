import { readSettings } from '#server/context/settings'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setMoney } from '#server/places/settings/settings'
import { moneySchema } from '#shared/settings/schemas'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  await setMoney(db, await bodyOf(event, moneySchema), today())
  return readSettings(db)
})
