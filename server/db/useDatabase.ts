import { databaseUrl, openDatabase, type Database, type OpenDatabase } from './client'
import { migrate, type Migration } from './migrate'

let opened: Promise<OpenDatabase> | undefined

/** The process's one connection pool, opened and migrated at first use. */
export function useOpenDatabase(): Promise<OpenDatabase> {
  opened ??= open()
  return opened
}

export async function useDatabase(): Promise<Database> {
  return (await useOpenDatabase()).db
}

async function open(): Promise<OpenDatabase> {
  const database = await openDatabase(databaseUrl(process.env))
  await migrate(database, await committedMigrations())
  return database
}

async function committedMigrations(): Promise<Migration[]> {
  const assets = useStorage('assets:migrations')
  const names = (await assets.getKeys()).filter((name) => name.endsWith('.sql'))
  return Promise.all(
    names.map(async (name) => ({
      name: name.replace(/\.sql$/, ''),
      sql: String(await assets.getItem(name)),
    })),
  )
}
