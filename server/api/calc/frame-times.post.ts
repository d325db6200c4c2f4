import { frameTimes } from '#core/frametimes/frameTimes'
import { frameTimesRequest } from '#shared/schemas/calc'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'

export default jsonRoute(async (event) => {
  const { frameTimesMs, targetFps } = await bodyOf(event, frameTimesRequest)
  return frameTimes(frameTimesMs, targetFps)
})
