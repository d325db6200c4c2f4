import { mkdirSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import { createClient, type Client } from '@libsql/client'
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql'
import { OneWriter } from './oneWriter'

export type Database = LibSQLDatabase
/** The database itself or a transaction on it. */
export type Queryable = Pick<Database, '$count' | 'select' | 'insert' | 'update' | 'delete' | 'run'>

type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

export interface OpenDatabase {
  readonly client: Client
  readonly db: Database
  /** Path of the file behind a `file:` URL; null for any other. */
  readonly file: string | null
  /** Does a piece of work as the only writer of this process: what it checks still holds when it writes. */
  alone<T>(work: () => Promise<T>): Promise<T>
  /** Counts up with every write; null where other programs may write too, behind a URL that is no file. */
  version(): number | null
}

/** URL of the database: `TARVIN_DATABASE_URL`, or a file under `.data/`. */
export function databaseUrl(env: NodeJS.ProcessEnv): string {
  return env.TARVIN_DATABASE_URL || 'file:.data/tarvin.db'
}

/** Path of the file behind a URL; null where it is none. */
export function fileOf(url: string): string | null {
  return url.startsWith('file:') ? resolve(url.slice('file:'.length)) : null
}

/**
 * Opens a libSQL database; foreign keys are on, a file keeps a write-ahead log. Reads go over a pool of connections,
 * writes one after the other over a single one.
 */
export async function openDatabase(url: string): Promise<OpenDatabase> {
  const file = fileOf(url)
  if (file) mkdirSync(dirname(file), { recursive: true })
  const at = { url: file ? `file:${file}` : url }
  const reader = createClient(at)
  const writer = file ? createClient({ ...at, concurrency: 1 }) : reader
  const foreignKeys = (client: Client) => client.execute('PRAGMA foreign_keys = ON')
  if (file) {
    // a program that has just ended may hold it for a moment; from then on who waits does so without holding us up
    await writer.execute('PRAGMA busy_timeout = 2000')
    await writer.execute('PRAGMA journal_mode = WAL')
    await writer.execute('PRAGMA busy_timeout = 0')
  }
  await foreignKeys(writer)
  const one = new OneWriter(reader, writer, foreignKeys)
  const client = one.client()
  const db = drizzle(client, { casing: 'snake_case' })
  const version = () => (file ? one.version : null)
  if (file) {
    writers.set(db, one)
    databases.set(client, db)
  }
  return { client, db, file, alone: (work) => one.alone(work), version }
}

/** A transaction as a database: transactions within it are savepoints of it. */
export function asDatabase(tx: Transaction): Database {
  // it lacks `batch` alone, which nothing here asks for
  return tx as unknown as Database
}

const writers = new WeakMap<object, OneWriter>()

/** The one writer of a database; undefined of a transaction, and behind a URL that is no file. */
export function writerOf(db: object): OneWriter | undefined {
  return writers.get(db)
}

const databases = new WeakMap<Client, Database>()

/** The database that a transaction is on; undefined where it is none, or behind a URL that is no file. */
export function databaseOf(tx: object): Database | undefined {
  // the ORM tells it nowhere else
  const { session } = tx as { readonly session?: { readonly client?: Client } }
  return session?.client && databases.get(session.client)
}
