import { readSpec } from '#core/reading/specs/readSpec'
import { readPartRequest } from '#shared/calc/schemas'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'

export default jsonRoute(async (event) => {
  const { text, role } = await bodyOf(event, readPartRequest)
  return readSpec(text, role ?? null)
})
