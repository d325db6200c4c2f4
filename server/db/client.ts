import { mkdirSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import { createClient, type Client } from '@libsql/client'
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql'

export type Database = LibSQLDatabase
/** The database itself or a transaction on it. */
export type Queryable = Pick<Database, 'select' | 'insert' | 'update' | 'delete' | 'run'>

export interface OpenDatabase {
  readonly client: Client
  readonly db: Database
  /** Path of the file behind a `file:` URL; null for any other. */
  readonly file: string | null
}

/** URL of the database: `TARVIN_DATABASE_URL`, or a file under `.data/`. */
export function databaseUrl(env: NodeJS.ProcessEnv): string {
  return env.TARVIN_DATABASE_URL || 'file:.data/tarvin.db'
}

/** Opens a libSQL database; foreign keys are on, a file keeps a write-ahead log. */
export async function openDatabase(url: string): Promise<OpenDatabase> {
  const file = url.startsWith('file:') ? resolve(url.slice('file:'.length)) : null
  if (file) mkdirSync(dirname(file), { recursive: true })
  const client = createClient({ url: file ? `file:${file}` : url })
  if (file) await client.execute('PRAGMA journal_mode = WAL')
  await client.execute('PRAGMA foreign_keys = ON')
  return { client, db: drizzle(client, { casing: 'snake_case' }), file }
}
