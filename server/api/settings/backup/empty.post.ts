import { emptyOut } from '#server/db/backup'
import { committedMigrations, useOpenDatabase } from '#server/db/useDatabase'
import { doorChanged } from '#server/http/signIn'
import { defineCall } from '#server/http/defineCall'

/** Removes everything, sample data too; what was there is kept beside the database. */
export default defineCall('POST /api/settings/backup/empty', async () => {
  const database = await useOpenDatabase()
  await emptyOut(database, await committedMigrations())
  doorChanged()
  return { emptied: true }
})
