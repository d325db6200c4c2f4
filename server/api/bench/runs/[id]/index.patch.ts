import { runPatchSchema } from '#shared/bench/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { patchRun } from '#server/places/bench/runs'

export default writeRoute(async (event) => {
  await patchRun(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    await bodyOf(event, runPatchSchema),
    new Date().toISOString(),
  )
  return { ok: true }
})
