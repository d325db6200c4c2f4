import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { frameLogBytes } from '#server/places/bench/runs'

export default jsonRoute(async (event) => {
  const bytes = await frameLogBytes(await useDatabase(), getRouterParam(event, 'id')!)
  setHeader(event, 'content-type', 'application/octet-stream')
  return bytes
})
