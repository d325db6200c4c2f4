import { lstatSync, mkdirSync, readlinkSync, realpathSync } from 'node:fs'
import { basename, dirname, join, resolve } from 'node:path'
import { createClient } from '@libsql/client'
import { CoreError } from '#core/errors/coreError'
import { sentenceOf } from '#core/errors/problems'
import type { OpenDatabase } from './client'
import { isHeld } from './oneWriter'

/** Why the application does not start on a database, in one sentence for the person at the keyboard. */
export class DatabaseRefusedError extends Error {}

/**
 * Takes a database file for this process alone, for as long as it lives: an exclusive transaction on a small file
 * beside it, which the system lets go however the process ends. Two servers on one file would each trust what they
 * have read.
 *
 * @throws DatabaseRefusedError where another process has it
 */
export async function claimFile(file: string): Promise<() => void> {
  mkdirSync(dirname(file), { recursive: true })
  const owner = createClient({ url: `file:${realPath(file)}.owner`, concurrency: 1 })
  try {
    // held open on purpose: there is nothing to commit
    const held = await owner.transaction('write')
    return () => {
      held.close()
      owner.close()
    }
  } catch (error) {
    owner.close()
    if (!isHeld(error)) throw error
    throw new DatabaseRefusedError(
      `Another Tarvin is running on ${file}. Stop it first, or name another file in TARVIN_DATABASE_URL.`,
    )
  }
}

/** Where a file lies, whatever links lead there: one file is claimed once. */
function realPath(file: string): string {
  // of a file that is to be made it is its folder that counts; a link to nothing yet is followed too
  if (lstatSync(file, { throwIfNoEntry: false })?.isSymbolicLink())
    return realPath(resolve(dirname(file), readlinkSync(file)))
  return join(realpathSync(dirname(file)), basename(file))
}

/** Whether the migrations that a database has had are all known here; one written by a newer version is left alone. */
export async function refuseNewer(
  { client }: Pick<OpenDatabase, 'client'>,
  known: readonly string[],
): Promise<void> {
  const tables = await client.execute("SELECT name FROM sqlite_master WHERE name = 'migrations'")
  if (tables.rows.length === 0) return
  const { rows } = await client.execute('SELECT name FROM migrations ORDER BY name')
  const unknown = rows.map((row) => String(row.name)).filter((name) => !known.includes(name))
  if (unknown.length > 0)
    throw new DatabaseRefusedError(sentenceOf('newer-backup', { migration: unknown.at(-1)! }))
}

/** The same for a backup, as a mistake of whoever opens it. */
export function refuseUnknownMigration(migration: string, known: readonly string[]): void {
  if (!known.includes(migration)) throw new CoreError('newer-backup', { migration })
}

/** Looks through the pages of a file for damage; a page that does not hold together is named, nothing is repaired. */
export async function refuseDamaged({ client }: Pick<OpenDatabase, 'client'>): Promise<void> {
  const { rows } = await client.execute('PRAGMA quick_check(1)')
  const found = String(Object.values(rows[0] ?? {})[0] ?? 'ok')
  if (found !== 'ok') throw new DatabaseRefusedError(`${damaged} (${found.slice(0, 120)})`)
}

const damaged = 'The database is damaged. It was not changed; restore a backup (see the README).'

const sentences: readonly (readonly [RegExp, string])[] = [
  [/NOTADB/, 'The file in TARVIN_DATABASE_URL is not a database; it was not changed.'],
  [/CORRUPT/, damaged],
  [/READONLY|EROFS|EACCES|EPERM/, 'The database cannot be written: the file or its folder is read-only.'],
  [
    /CANTOPEN|ENOENT|ENOTDIR|ConnectionFailed|[Uu]nable to open/,
    'The database cannot be opened: its folder is missing or not accessible.',
  ],
  [/BUSY|LOCKED|another program holds/, 'Another program is using the database; close it and start again.'],
  [/FULL|ENOSPC/, 'The disk is full; the database could not be opened for writing.'],
]

/** An error at the start in one sentence, without a stack. */
export function startSentence(error: unknown): string {
  if (error instanceof DatabaseRefusedError) return error.message
  const told: string[] = []
  for (let each = error; each instanceof Error; each = each.cause)
    told.push(`${'code' in each ? String(each.code) : ''} ${each.message}`)
  const all = told.join(' ')
  return (
    sentences.find(([sign]) => sign.test(all))?.[1] ??
    `The database could not be opened (${told[0]?.trim().slice(0, 200) ?? String(error)}).`
  )
}
