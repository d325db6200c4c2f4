import { mkdtempSync, readdirSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openDatabase, type OpenDatabase } from '#server/db/client'
import { migrate } from '#server/db/migrate'
import { useWorld } from '#server/readings/useWorld'

/** The committed migrations, as the application ships them. */
export const migrations = readdirSync('server/db/migrations')
  .filter((name) => name.endsWith('.sql'))
  .map((name) => ({
    name: name.replace('.sql', ''),
    sql: readFileSync(`server/db/migrations/${name}`, 'utf8'),
  }))

export function temporaryFolder(): string {
  return mkdtempSync(join(tmpdir(), 'tarvin-'))
}

/** A migrated database in a file. */
export async function openTestDatabase(path: string): Promise<OpenDatabase> {
  const database = await openDatabase(`file:${path}`)
  await migrate(database, migrations)
  // as at the start of the application: a transaction then sees the kept world and what it has written
  await useWorld(database.db)
  return database
}
