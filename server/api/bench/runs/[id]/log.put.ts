import { fileBytes } from '#server/http/bodyBytes'
import { useDatabase } from '#server/db/useDatabase'
import { fileOf } from '#server/http/importing'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { keepFrameLog } from '#server/places/bench/runs'

export default writeRoute(
  async (event) =>
    keepFrameLog(
      await useDatabase(),
      getRouterParam(event, 'id')!,
      String(getQuery(event).name ?? 'log'),
      await fileOf(event),
      today(),
    ),
  fileBytes,
)
