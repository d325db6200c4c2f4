import { eq } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { fixByRate } from '#core/performance/model/fixByRate'
import { frameMachineOf } from '#core/performance/model/machineOf'
import type { Part } from '#core/parts/part'
import type { Workload } from '#core/performance/model/workload'
import type { GameInput } from '#shared/work/schemas'
import type { Database, Queryable } from '#server/db/client'
import { targets } from '#server/db/schema/brief'
import { runs } from '#server/db/schema/bench'
import { parts } from '#server/db/schema/parts'
import { workloads } from '#server/db/schema/work'
import { NotFoundError } from '#server/errors/notFoundError'

/** Games made, changed and removed on screen. */

type GameRow = typeof workloads.$inferSelect
type StoredGame = Omit<GameInput, 'known'>

/** Makes a game or changes the one of the id; a known rate moves its times so that it comes out. */
export async function saveGame(db: Database, { known, ...game }: GameInput): Promise<{ id: string }> {
  await db.transaction(async (tx) => {
    const fixed = known ? await withRate(tx, game as Workload, known) : (game as Workload)
    const used = await tx.select({ preset: runs.preset }).from(runs).where(eq(runs.workloadId, game.id))
    const gone = used.find(({ preset }) => !fixed.presets[preset])
    if (gone) throw new CoreError('preset-in-use', { preset: gone.preset }, 'presets')
    const { lowShare, ...rest } = fixed
    const values = { ...rest, lowShareGraphics: lowShare.graphics, lowShareCpu: lowShare.cpu }
    await tx.insert(workloads).values(values).onConflictDoUpdate({ target: workloads.id, set: values })
  })
  return { id: game.id }
}

/** A game as its form states it; null where there is none. */
export async function gameOf(db: Queryable, id: string): Promise<StoredGame | null> {
  const [row] = await db.select().from(workloads).where(eq(workloads.id, id))
  return row ? gameOfRow(row) : null
}

/** A stored game in the shape of forms and files. */
export function gameOfRow({ lowShareGraphics: graphics, lowShareCpu: cpu, ...game }: GameRow): StoredGame {
  return { ...game, lowShare: { graphics, cpu } }
}

/** Removes a game that no run and no target of a brief names. */
export async function removeGame(db: Database, id: string): Promise<void> {
  await db.transaction(async (tx) => {
    const count = await tx.$count(runs, eq(runs.workloadId, id))
    const wanted = await tx.$count(targets, eq(targets.workloadId, id))
    if (count + wanted > 0) throw new CoreError('game-in-use', { count, wanted }, 'id')
    const { rowsAffected } = await tx.delete(workloads).where(eq(workloads.id, id))
    if (rowsAffected === 0) throw new NotFoundError('game', id)
  })
}

type KnownRate = NonNullable<GameInput['known']>

async function withRate(tx: Queryable, game: Workload, known: KnownRate): Promise<Workload> {
  const pair: Part[] = []
  for (const path of ['cpuId', 'graphicsId'] as const) {
    const [row] = await tx.select().from(parts).where(eq(parts.id, known[path]))
    if (!row) throw new CoreError('unknown-part', { id: known[path] }, `known.${path}`)
    pair.push(row as Part)
  }
  const { machine, missing } = frameMachineOf(pair)
  if (!machine) throw new CoreError('no-index', { missing: missing.join(' and ') }, 'known')
  return fixByRate(game, machine, known, known.averageFps)
}
