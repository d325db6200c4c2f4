import { readSettings } from '#server/context/settings'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { setHomeCurrency } from '#server/places/settings/settings'
import { homeSchema } from '#shared/settings/schemas'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  await setHomeCurrency(db, (await bodyOf(event, homeSchema)).currency)
  return readSettings(db)
})
