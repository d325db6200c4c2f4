import { fileBytes } from '#server/http/bodyBytes'
import { useDatabase } from '#server/db/useDatabase'
import { fileOf } from '#server/http/importing'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { addPhoto } from '#server/places/leads/photos'

export default writeRoute(
  async (event) => ({
    id: await addPhoto(
      await useDatabase(),
      getRouterParam(event, 'id')!,
      await fileOf(event),
      getQuery(event).arrival === '1',
      today(),
    ),
  }),
  fileBytes,
)
