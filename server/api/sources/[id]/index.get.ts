import { useDatabase } from '#server/db/useDatabase'
import { NotFoundError } from '#server/errors/notFoundError'
import { jsonRoute } from '#server/http/jsonRoute'
import { tellTag } from '#server/http/stale'
import { sourceOf } from '#server/places/sources/sources'

export default jsonRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  const source = await sourceOf(await useDatabase(), id)
  if (!source) throw new NotFoundError(`there is no source "${id}"`)
  tellTag(event, source)
  return source
})
