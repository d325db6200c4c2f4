import { readSettings } from '#server/context/settings'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { setAssumption } from '#server/places/settings/settings'
import { assumptionSchema } from '#shared/settings/schemas'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  const { key, value } = await bodyOf(event, assumptionSchema)
  await setAssumption(db, key, value)
  return readSettings(db)
})
