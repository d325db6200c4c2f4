import type { Client } from '@libsql/client'
import { sql } from 'drizzle-orm'
import { databaseOf, writerOf, type Database, type Queryable } from '../db/client'
import { noteWrites, notedIn, takeNoted, World } from './world'

type Reader = Pick<Queryable, 'select'>

const worlds = new WeakMap<object, Promise<World>>()
const forks = new WeakMap<object, { readonly world: World; readonly last: Written }>()

/** A row that was written: its table, its number, and by what the note of it is known again. */
interface Written {
  readonly tbl: string
  readonly number: number
  readonly mark: number
  readonly at: number
}

/**
 * The world of a database: loaded once, then told of each write before anybody is answered. Of a transaction it is what
 * that sees. Behind a URL that other programs may write to it is read again each time.
 *
 * It is kept from when its loading begins, not while that waits for the writer's turn: whoever holds the turn would wait
 * for it, and it for them.
 */
export async function useWorld(db: Reader): Promise<World> {
  const writer = writerOf(db)
  if (!writer) return (await worldOfTransaction(db)) ?? new World().load(db)
  // in the writer's turn, so that nothing is written between the noting and the loading
  return worlds.get(db) ?? writer.alone(() => worlds.get(db) ?? loaded(db, writer))
}

function loaded(db: Reader, writer: NonNullable<ReturnType<typeof writerOf>>): Promise<World> {
  const load = async () => {
    let seen: number | null = null
    await writer.watchedBy({
      async opened(connection) {
        await noteWrites(connection)
        // it was opened again because another program held the file
        if (seen !== null) worlds.delete(db)
        seen = await dataVersion(connection)
      },
      async begins(connection) {
        const now = await dataVersion(connection)
        const isOthers = now !== seen
        seen = now
        if (isOthers) worlds.delete(db)
        return isOthers
      },
      async written(connection) {
        try {
          const noted = await takeNoted(connection)
          const kept = noted && (await worlds.get(db))
          if (kept) await kept.take(db, noted)
        } catch {
          // what was committed stands: a world that cannot take it in is read again
          worlds.delete(db)
        }
      },
    })
    return new World().load(db)
  }
  const world = load()
  worlds.set(db, world)
  world.catch(() => worlds.delete(db))
  return world
}

/** Counts the writes of others as this connection sees them; its own do not count. */
async function dataVersion(connection: Pick<Client, 'execute'>): Promise<number> {
  const { rows } = await connection.execute('PRAGMA data_version')
  return Number(rows[0]!.data_version)
}

/** As after a restart: what was in memory is gone. */
export function forgetWorld(db: Database): void {
  worlds.delete(db)
}

/** The kept world with what the transaction has written so far; null where nobody keeps one yet. */
async function worldOfTransaction(tx: Reader): Promise<World | null> {
  const db = databaseOf(tx)
  const kept = db && (await worlds.get(db))
  if (!kept) return null
  // a savepoint shares the session of its transaction, and with it what was written
  const { session } = tx as unknown as { readonly session: object }
  const known = forks.get(session)
  const since = await (tx as Database).all<Written>(
    sql`SELECT tbl, number, mark, rowid AS at FROM temp.noted WHERE rowid >= ${known?.last.at ?? 0}`,
  )
  if (!known && since.length === 0) return kept
  // the last that was taken in is no longer there: a savepoint was rolled back
  const isSound = known !== undefined && since[0]?.mark === known.last.mark
  if (known && !isSound) {
    forks.delete(session)
    return worldOfTransaction(tx)
  }
  const fork = known ?? { world: new World(kept), last: since[0]! }
  const written = known ? since.slice(1) : since
  if (written.length === 0) return fork.world
  await fork.world.take(tx, notedIn(written))
  forks.set(session, { world: fork.world, last: written.at(-1)! })
  return fork.world
}
