import { leadPatchSchema } from '#shared/leads/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { patchLead } from '#server/places/leads/patchLead'

export default writeRoute(async (event) => {
  await patchLead(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    await bodyOf(event, leadPatchSchema),
    today(),
    new Date().toISOString(),
  )
  return { done: true }
})
