import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { setPhotoDeleted } from '#server/places/leads/photos'

export default jsonRoute(async (event) => {
  await setPhotoDeleted(await useDatabase(), getRouterParam(event, 'id')!, new Date().toISOString())
  return { done: true }
})
