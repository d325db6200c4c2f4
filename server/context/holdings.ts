import { eq, inArray, or } from 'drizzle-orm'
import type { Queryable } from '../db/client'
import { builds } from '../db/schema/builds'
import { rebates } from '../db/schema/leads'
import { items, moves, orderLines, orders } from '../db/schema/ledger'
import { standingEntries, type EntryRow } from './standingEntries'

export type ItemRow = typeof items.$inferSelect
export type OrderRow = typeof orders.$inferSelect
export type OrderLineRow = typeof orderLines.$inferSelect

/** What a build holds and has paid: facts, never computed again. Amounts in minor units of the build's currency. */
export interface Holdings {
  /** The currency of the build that holds them. */
  readonly currency: string
  /** Things that are for this build, wherever they are, and those it paid for another. */
  readonly items: readonly ItemRow[]
  readonly lines: readonly (OrderLineRow & { readonly order: OrderRow })[]
  readonly entries: readonly EntryRow[]
  readonly rebates: readonly (typeof rebates.$inferSelect)[]
  /** Frozen remaining cost of what other builds handed over, and of what was handed on. */
  readonly takenOver: number
  readonly handedOn: number
}

export async function readHoldings(db: Pick<Queryable, 'select'>, buildId: string): Promise<Holdings> {
  const [[build], itemRows, lineRows, entries, moveRows] = await Promise.all([
    db.select({ currency: builds.currency }).from(builds).where(eq(builds.id, buildId)),
    db
      .select()
      .from(items)
      .where(or(eq(items.buildId, buildId), eq(items.payerId, buildId)))
      .orderBy(items.id),
    db
      .select({ line: orderLines, order: orders })
      .from(orderLines)
      .innerJoin(orders, eq(orders.id, orderLines.orderId))
      .where(eq(orderLines.buildId, buildId)),
    standingEntries(db, buildId),
    db
      .select()
      .from(moves)
      .where(or(eq(moves.fromBuildId, buildId), eq(moves.toBuildId, buildId))),
  ])
  const lineIds = lineRows.map(({ line }) => line.id)
  return {
    currency: build!.currency,
    items: itemRows,
    lines: lineRows.map(({ line, order }) => ({ ...line, order })),
    entries,
    rebates:
      lineIds.length === 0 ? [] : await db.select().from(rebates).where(inArray(rebates.lineId, lineIds)),
    takenOver: moveRows.reduce((sum, move) => sum + (move.toBuildId === buildId ? move.toAmount : 0), 0),
    handedOn: moveRows.reduce((sum, move) => sum + (move.fromBuildId === buildId ? move.fromAmount : 0), 0),
  }
}
