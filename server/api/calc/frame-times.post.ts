import { frameTimes } from '#core/performance/frametimes/frameTimes'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/calc/frame-times', async ({ body }) => {
  const { frameTimesMs, targetFps } = body
  return frameTimes(frameTimesMs, targetFps)
})
