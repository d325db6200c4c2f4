import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { basename, join } from 'node:path'
import { randomUUID } from 'node:crypto'
import { createClient, type Client } from '@libsql/client'
import { Unzip, UnzipInflate, zip, type AsyncZippable } from 'fflate'
import { object } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { calendarDate, oneOf, text } from '#shared/fields'
import type { BackupNote, BackupPreview } from '#shared/settings/views'
import { openDatabase, type OpenDatabase } from './client'
import { refuseUnreadable } from './refuseUnreadable'
import { migrate, type Migration } from './migrate'
import { photoFile, photosFolder } from './photosFolder'

// A backup is one zip with everything: the database, the photos that lie beside it, and a note of what it is. Secrets
// (the hash of the passphrase, the seal of cookies) are not in it: they stay where they are.
const noteName = 'backup.json'
const databaseName = 'tarvin.db'
const photoName = /^photos\/([A-Za-z0-9-]{1,120})\.jpg$/
/** Rows of `settings` that are secrets; see `writeSecret`. */
const areSecrets = "key LIKE 'secret.%'"
/** Of them what seals the cookies of who is signed in: after a restore everybody signs in again. */
const isSeal = "key = 'secret.seal'"
const countedTables = [
  'sold_records',
  'parts',
  'leads',
  'sources',
  'ledger_entries',
  'runs',
  'rivals',
  'photos',
]

const noteSchema = object({
  format: oneOf(['tarvin-backup']).required(),
  version: oneOf(['1']).required(),
  madeOn: calendarDate().required(),
  migration: text().required(),
})

/** What a zip holds. */
export interface Backup {
  readonly preview: BackupPreview
  readonly database: Uint8Array
  /** JPEG by the id of the photo. */
  readonly photos: ReadonlyMap<string, Uint8Array>
}

/** Everything of an open database as a zip. The database goes on working meanwhile: the copy is of one moment. */
export async function makeBackup(
  { client, file: place }: Pick<OpenDatabase, 'client' | 'file'>,
  today: string,
): Promise<Uint8Array> {
  return inTemporaryFile(async (file) => {
    await client.execute({ sql: 'VACUUM INTO ?', args: [file] })
    await withoutSecrets(file)
    const note: BackupNote = {
      format: 'tarvin-backup',
      version: '1',
      madeOn: today,
      migration: await lastMigration(client),
    }
    return zipped({
      [noteName]: new TextEncoder().encode(JSON.stringify(note)),
      [databaseName]: [readFileSync(file), { level: 3 }],
      ...(place ? await photosOf(client, place) : {}),
    })
  })
}

/** Takes the secrets out of a copy, and what the deleted rows leave in its pages. */
async function withoutSecrets(file: string): Promise<void> {
  const copy = createClient({ url: `file:${file}` })
  try {
    await copy.execute(`DELETE FROM settings WHERE ${areSecrets}`)
    await copy.execute('VACUUM')
  } finally {
    copy.close()
  }
}

/** The pictures that lie beside a database, by their names in the zip. */
async function photosOf(client: Client, place: string): Promise<AsyncZippable> {
  const { rows } = await client.execute('SELECT id FROM photos')
  return Object.fromEntries(
    rows
      .map(({ id }) => [`photos/${String(id)}.jpg`, photoFile(place, String(id))] as const)
      .filter(([, file]) => existsSync(file))
      .map(([name, file]) => [name, [readFileSync(file), { level: 0 }]] as const),
  ) as AsyncZippable
}

/** What a zip holds. Throws `no-backup` where it is none of ours. */
export async function readBackup(bytes: Uint8Array): Promise<Backup> {
  const files = await unzipped(bytes)
  const note = files[noteName]
  const database = files[databaseName]
  if (!note || !database) throw new CoreError('no-backup', {})
  const told = noteSchema.validateSync(readNote(note), { stripUnknown: true })
  return inTemporaryFile(async (file) => {
    writeFileSync(file, database)
    const client = createClient({ url: `file:${file}` })
    try {
      const checked = await client.execute('PRAGMA quick_check(1)')
      if (Object.values(checked.rows[0] ?? {})[0] !== 'ok') throw new CoreError('damaged-backup', {})
      const counts: Record<string, number> = {}
      for (const table of countedTables) counts[table] = await countOf(client, table)
      const { rows } = await client.execute('SELECT name FROM builds WHERE deleted_at IS NULL ORDER BY name')
      return {
        preview: { ...(told as BackupNote), counts, builds: rows.map((row) => String(row.name)) },
        database,
        photos: new Map(
          Object.entries(files).flatMap(([name, jpeg]) => {
            const id = photoName.exec(name)?.[1]
            return id ? [[id, jpeg] as const] : []
          }),
        ),
      }
    } catch (cause) {
      if (cause instanceof CoreError) throw cause
      throw new CoreError('damaged-backup', {}, '', { cause })
    } finally {
      client.close()
    }
  })
}

function readNote(note: Uint8Array): object {
  try {
    return Object(JSON.parse(new TextDecoder().decode(note))) as object
  } catch (cause) {
    throw new CoreError('no-backup', {}, '', { cause })
  }
}

/**
 * Puts what a backup holds in the place of what an open database holds, in one transaction: whoever reads sees the one
 * or the other. What was there is first kept beside the file, as `….before-restore`. A backup of an earlier version
 * gets the migrations that came since, on its way in; all of it is read once (`refuseUnreadable`) before it replaces
 * anything. The passphrase stays the one that is set here; every session ends.
 */
export async function restoreInto(
  { client, file, alone }: OpenDatabase,
  backup: Pick<Backup, 'database' | 'photos'>,
  migrations: readonly Migration[],
): Promise<void> {
  await inTemporaryFile(async (temporary) => {
    writeFileSync(temporary, backup.database)
    const coming = await openDatabase(`file:${temporary}`)
    try {
      await migrate(coming, migrations, { keepCopy: false })
      await refuseUnreadable(coming.client, client)
      await coming.client.execute('PRAGMA wal_checkpoint(TRUNCATE)')
    } finally {
      coming.client.close()
    }
    await alone(async () => {
      if (file) {
        // pictures first: a row without its picture is seen, a picture without its row is not
        keepPhotos(file, backup.photos)
        rmSync(`${file}.before-restore`, { force: true })
        await client.execute({ sql: 'VACUUM INTO ?', args: [`${file}.before-restore`] })
      }
      await client.execute({ sql: 'ATTACH ? AS coming', args: [temporary] })
      try {
        await replaceRows(client)
      } finally {
        await client.execute('DETACH coming')
      }
    })
  })
}

function keepPhotos(file: string, photos: Backup['photos']): void {
  mkdirSync(photosFolder(file), { recursive: true })
  for (const [id, jpeg] of photos) {
    writeFileSync(`${photoFile(file, id)}.part`, jpeg)
    renameSync(`${photoFile(file, id)}.part`, photoFile(file, id))
  }
}

/** Puts nothing in the place of everything: a database as it is at its first start. What was there is kept as by a restore. */
export async function emptyOut(database: OpenDatabase, migrations: readonly Migration[]): Promise<void> {
  const blank = await inTemporaryFile(async (temporary) => {
    const fresh = await openDatabase(`file:${temporary}`)
    await migrate(fresh, migrations, { keepCopy: false })
    await fresh.client.execute('PRAGMA wal_checkpoint(TRUNCATE)')
    fresh.client.close()
    return readFileSync(temporary)
  })
  await restoreInto(database, { database: blank, photos: new Map() }, migrations)
}

async function replaceRows(client: Client): Promise<void> {
  const tx = await client.transaction('write')
  try {
    await tx.execute('PRAGMA defer_foreign_keys = ON')
    const { rows } = await tx.execute(
      "SELECT name FROM coming.sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'libsql_%'",
    )
    for (const { name } of rows) {
      const columns = await tx.execute(`SELECT name FROM pragma_table_info('${String(name)}') ORDER BY cid`)
      const list = columns.rows.map((column) => `"${String(column.name)}"`).join(', ')
      const but = name === 'settings' ? ` WHERE NOT ${areSecrets}` : ''
      await tx.execute(`DELETE FROM main."${String(name)}"${but}`)
      await tx.execute(
        `INSERT INTO main."${String(name)}" (${list}) SELECT ${list} FROM coming."${String(name)}"${but}`,
      )
    }
    await tx.execute(`DELETE FROM main.settings WHERE ${isSeal}`)
    await tx.commit()
  } finally {
    tx.close()
  }
}

const copiesKept = 7

/** Folder of the automatic copies of a database file. */
export function copiesFolder(file: string): string {
  return `${file}.copies`
}

/**
 * The copy of the day: made once, when something has changed since the newest one; the newest seven are kept.
 *
 * @returns name of the copy; null where none was due
 */
export async function copyOfTheDay(client: Client, file: string, today: string): Promise<string | null> {
  const folder = copiesFolder(file)
  mkdirSync(folder, { recursive: true })
  const copies = readdirSync(folder)
    .filter((name) => /^\d{4}-\d{2}-\d{2}\.db$/.test(name))
    .sort()
  const newest = copies.at(-1)
  if (newest === `${today}.db`) return null
  if (newest && changedAt(file) <= statSync(join(folder, newest)).mtimeMs) return null
  const made = join(folder, `${today}.db`)
  await inTemporaryFile(async (temporary) => {
    await client.execute({ sql: 'VACUUM INTO ?', args: [temporary] })
    copyFileSync(temporary, `${made}.coming`)
    renameSync(`${made}.coming`, made)
  })
  for (const old of copies.slice(0, Math.max(0, copies.length + 1 - copiesKept))) rmSync(join(folder, old))
  return basename(made)
}

function changedAt(file: string): number {
  return Math.max(...[file, `${file}-wal`].map((each) => (existsSync(each) ? statSync(each).mtimeMs : 0)))
}

async function lastMigration(client: Client): Promise<string> {
  const { rows } = await client.execute('SELECT max(name) AS name FROM migrations')
  return String(rows[0]?.name ?? '')
}

async function countOf(client: Client, table: string): Promise<number> {
  const found = await client.execute({ sql: 'SELECT 1 FROM sqlite_master WHERE name = ?', args: [table] })
  if (found.rows.length === 0) return 0
  const { rows } = await client.execute(`SELECT count(*) AS n FROM ${table}`)
  return Number(rows[0]!.n)
}

async function inTemporaryFile<T>(work: (file: string) => Promise<T>): Promise<T> {
  const file = join(tmpdir(), `tarvin-${randomUUID()}.db`)
  try {
    return await work(file)
  } finally {
    for (const ending of ['', '-wal', '-shm', '-journal']) rmSync(`${file}${ending}`, { force: true })
  }
}

async function zipped(files: AsyncZippable): Promise<Uint8Array> {
  return new Promise((resolve, reject) =>
    zip(files, (error, data) => (error ? reject(error) : resolve(data))),
  )
}

const isOurs = (name: string) => name === noteName || name === databaseName || photoName.test(name)

/** What the files of a zip may hold together. */
const mostInflated = 2 * 1024 * 1024 * 1024
/** Bytes of the zip at a time: however tightly it is packed, a piece of it inflates to a few megabytes. */
const pieceOfZip = 16 * 1024

/** The files of ours in a zip; others in it are passed over. What it inflates to is counted while it does. */
async function unzipped(bytes: Uint8Array): Promise<Record<string, Uint8Array>> {
  const files: Record<string, Uint8Array> = {}
  const failed: unknown[] = []
  let size = 0
  let open = 0
  const reader = new Unzip((file) => {
    if (!isOurs(file.name)) return
    const pieces: Uint8Array[] = []
    open += 1
    file.ondata = (error, piece, isLast) => {
      if (error) failed.push(error)
      size += piece?.length ?? 0
      if (failed.length > 0 || size > mostInflated) return
      pieces.push(piece)
      if (!isLast) return
      files[file.name] = Buffer.concat(pieces)
      open -= 1
    }
    file.start()
  })
  reader.register(UnzipInflate)
  try {
    for (let at = 0; at < bytes.length && failed.length === 0; at += pieceOfZip) {
      reader.push(bytes.subarray(at, at + pieceOfZip), at + pieceOfZip >= bytes.length)
      if (size > mostInflated)
        throw new CoreError('too-large', { size: `${mostInflated / 1024 ** 3} GB unpacked` })
      // others are answered meanwhile
      if (at % (16 * pieceOfZip) === 0) await new Promise((resolve) => setImmediate(resolve))
    }
  } catch (cause) {
    if (cause instanceof CoreError) throw cause
    failed.push(cause)
  }
  if (failed.length > 0 || open > 0 || !isZip(bytes))
    throw new CoreError('broken-zip', {}, '', { cause: failed[0] })
  return files
}

const isZip = (bytes: Uint8Array) => bytes[0] === 0x50 && bytes[1] === 0x4b
