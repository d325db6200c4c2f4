import { defineCall } from '#server/http/defineCall'
import { openEdition, readEditionFile } from '#server/places/builds/editions'

export default defineCall('POST /api/builds/editions/import', async ({ db, body, today }) => {
  const { edition, ...where } = body
  return openEdition(db, readEditionFile(edition), where, today)
})
