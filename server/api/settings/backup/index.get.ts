import { makeBackup } from '#server/db/backup'
import { useOpenDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'

/** Everything as one zip. */
export default jsonRoute(async (event) => {
  const database = await useOpenDatabase()
  const zip = await makeBackup(database, today())
  setResponseHeaders(event, {
    'content-type': 'application/zip',
    'content-disposition': `attachment; filename="tarvin-${today()}.zip"`,
  })
  return zip
})
