import { object } from 'yup'
import { text } from '#shared/fields'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { seeHit } from '#server/places/prices/lookouts'

const schema = object({ leadId: text().required('choose a lead') })

export default writeRoute(async (event) => {
  const { leadId } = await bodyOf(event, schema)
  await seeHit(await useDatabase(), getRouterParam(event, 'id')!, leadId, today())
  return { seen: leadId }
})
