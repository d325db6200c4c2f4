import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { readPhoto } from '#server/places/leads/photos'

export default jsonRoute(async (event) => {
  const picture = await readPhoto(await useDatabase(), getRouterParam(event, 'id')!)
  setHeader(event, 'content-type', 'image/jpeg')
  setHeader(event, 'x-content-type-options', 'nosniff')
  return picture
})
