import { marketReplaced } from '#server/context/market'
import { emptyOut } from '#server/db/backup'
import { committedMigrations, useOpenDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { doorChanged } from '#server/http/signIn'

/** Removes everything, sample data too; what was there is kept beside the database. */
export default writeRoute(async () => {
  const database = await useOpenDatabase()
  await emptyOut(database, await committedMigrations())
  marketReplaced(database.db)
  doorChanged()
  return { emptied: true }
})
