import { databaseUrl, fileOf, openDatabase, type Database, type OpenDatabase } from './client'
import { claimFile, refuseDamaged, refuseNewer } from './guard'
import { migrate, type Migration } from './migrate'

let opened: Promise<OpenDatabase> | undefined

/** The process's one database, claimed, opened and migrated at first use. */
export function useOpenDatabase(): Promise<OpenDatabase> {
  opened ??= open()
  return opened
}

export async function useDatabase(): Promise<Database> {
  return (await useOpenDatabase()).db
}

async function open(): Promise<OpenDatabase> {
  const file = fileOf(databaseUrl(process.env))
  if (file) await claimFile(file)
  const database = await openDatabase(databaseUrl(process.env))
  const migrations = await committedMigrations()
  await refuseNewer(
    database,
    migrations.map(({ name }) => name),
  )
  await refuseDamaged(database)
  await migrate(database, migrations)
  return database
}

export async function committedMigrations(): Promise<Migration[]> {
  const assets = useStorage('assets:migrations')
  const names = (await assets.getKeys()).filter((name) => name.endsWith('.sql'))
  return Promise.all(
    names.map(async (name) => ({
      name: name.replace(/\.sql$/, ''),
      sql: String(await assets.getItem(name)),
    })),
  )
}
