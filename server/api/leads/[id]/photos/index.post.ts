import { useDatabase } from '#server/db/useDatabase'
import { bodyBytes } from '#server/http/importing'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { addPhoto } from '#server/places/leads/photos'

export default jsonRoute(async (event) => ({
  id: await addPhoto(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    await bodyBytes(event),
    getQuery(event).arrival === '1',
    today(),
  ),
}))
