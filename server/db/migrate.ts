import { copyFileSync, existsSync } from 'node:fs'
import type { OpenDatabase } from './client'
import { repairIds } from './repairIds'

/** From this migration on every id keeps to the grammar. */
const idGrammarSince = '0020_id_aliases'

/** A committed migration: its name and its statements. */
export interface Migration {
  readonly name: string
  readonly sql: string
}

/**
 * Applies the migrations a database does not have yet, each in one transaction with the note that it was applied.
 * Before the first one a file database is copied beside itself, so that an upgrade can be taken back.
 *
 * @returns names of the migrations applied
 */
export async function migrate(
  { client, file }: Pick<OpenDatabase, 'client' | 'file'>,
  migrations: readonly Migration[],
  { keepCopy = true }: { readonly keepCopy?: boolean } = {},
): Promise<string[]> {
  await client.execute(
    'CREATE TABLE IF NOT EXISTS migrations (name TEXT PRIMARY KEY, applied_at TEXT NOT NULL DEFAULT CURRENT_TIMESTAMP)',
  )
  const { rows } = await client.execute('SELECT name FROM migrations')
  const applied = new Set(rows.map((row) => String(row.name)))
  const open = [...migrations]
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .filter((migration) => !applied.has(migration.name))
  if (keepCopy && open.length > 0 && applied.size > 0 && file && existsSync(file)) {
    await client.execute('PRAGMA wal_checkpoint(TRUNCATE)')
    copyFileSync(file, `${file}.before-${open[0]!.name}`)
  }
  for (const migration of open) {
    const statements = migration.sql
      .split('--> statement-breakpoint')
      .map((statement) => statement.trim())
      .filter((statement) => statement !== '')
    await client.migrate([
      ...statements,
      { sql: 'INSERT INTO migrations (name) VALUES (?)', args: [migration.name] },
    ])
  }
  // an upgrade to the grammar of ids brings what was stored before to it, a part of the same step
  if (open.some(({ name }) => name === idGrammarSince)) await repairIds(client)
  return open.map((migration) => migration.name)
}
