import { buildFileSchema } from '#shared/builds/buildFile'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { importBuild } from '#server/places/builds/buildFile'

export default writeRoute(
  async (event) => ({
    id: await importBuild(await useDatabase(), await bodyOf(event, buildFileSchema), today()),
  }),
  64 * 1024 * 1024,
)
