import { frameTimes } from '#core/performance/frametimes/frameTimes'
import { frameTimesRequest } from '#shared/calc/schemas'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'

export default jsonRoute(async (event) => {
  const { frameTimesMs, targetFps } = await bodyOf(event, frameTimesRequest, 64 * 1024 * 1024)
  return frameTimes(frameTimesMs, targetFps)
})
