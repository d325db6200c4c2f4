import { readBackup } from '#server/db/backup'
import { defineCall } from '#server/http/defineCall'

/** What a backup holds; nothing is changed. */
export default defineCall(
  'POST /api/settings/backup/preview',
  async ({ file }) => (await readBackup(file)).preview,
)
