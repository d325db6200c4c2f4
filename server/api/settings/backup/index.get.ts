import { makeBackup } from '#server/db/backup'
import { useOpenDatabase } from '#server/db/useDatabase'
import { asFile } from '#server/http/asFile'
import { defineCall } from '#server/http/defineCall'

/** Everything as one zip. */
export default defineCall('GET /api/settings/backup', async ({ today, event }) =>
  asFile(event, await makeBackup(await useOpenDatabase(), today), 'application/zip', `tarvin-${today}.zip`),
)
