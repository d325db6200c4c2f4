import { readBackup, restoreInto } from '#server/db/backup'
import { refuseUnknownMigration } from '#server/db/guard'
import { committedMigrations, useOpenDatabase } from '#server/db/useDatabase'
import { doorChanged } from '#server/http/signIn'
import { defineCall } from '#server/http/defineCall'

/** Puts a backup in the place of what is there; that is kept beside it. Nobody writes meanwhile. */
export default defineCall('POST /api/settings/backup/restore', async ({ file }) => {
  const database = await useOpenDatabase()
  const backup = await readBackup(file)
  const migrations = await committedMigrations()
  refuseUnknownMigration(
    backup.preview.migration,
    migrations.map(({ name }) => name),
  )
  await restoreInto(database, backup, migrations)
  doorChanged()
  return backup.preview
})
