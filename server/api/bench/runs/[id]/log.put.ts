import { useDatabase } from '#server/db/useDatabase'
import { bodyBytes } from '#server/http/importing'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { keepFrameLog } from '#server/places/bench/runs'

export default jsonRoute(async (event) =>
  keepFrameLog(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    String(getQuery(event).name ?? 'log'),
    await bodyBytes(event),
    today(),
  ),
)
