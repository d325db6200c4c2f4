import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { setPhotoDeleted } from '#server/places/leads/photos'

export default writeRoute(async (event) => {
  await setPhotoDeleted(await useDatabase(), getRouterParam(event, 'id')!, new Date().toISOString())
  return { done: true }
})
