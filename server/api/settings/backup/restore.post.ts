import { marketReplaced } from '#server/context/market'
import { readBackup, restoreInto } from '#server/db/backup'
import { refuseUnknownMigration } from '#server/db/guard'
import { committedMigrations, useOpenDatabase } from '#server/db/useDatabase'
import { fileBytes } from '#server/http/bodyBytes'
import { fileOf } from '#server/http/importing'
import { writeRoute } from '#server/http/jsonRoute'
import { doorChanged } from '#server/http/signIn'

/** Puts a backup in the place of what is there; that is kept beside it. Nobody writes meanwhile. */
export default writeRoute(async (event) => {
  const database = await useOpenDatabase()
  const backup = await readBackup(await fileOf(event))
  const migrations = await committedMigrations()
  refuseUnknownMigration(
    backup.preview.migration,
    migrations.map(({ name }) => name),
  )
  await restoreInto(database, backup, migrations)
  marketReplaced(database.db)
  doorChanged()
  return backup.preview
}, fileBytes)
