import type { Queryable } from '../db/client'
import type { rebates } from '../db/schema/leads'
import type { items, orderLines, orders } from '../db/schema/ledger'
import { reading, sameContent } from '../readings/reading'
import { byNumber } from '../readings/rows'
import { useWorld } from '../readings/useWorld'
import { entriesOf, type EntryRow } from './standingEntries'

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

export const holdingsOf = reading(
  'holdings',
  (world, buildId: string): Holdings => {
    const { builds, items, moves, orderLines, orders, rebates } = world.rows
    const lines = orderLines
      .where('buildId', buildId)
      .map((line) => ({ ...line, order: orders.one('id', line.orderId)! }))
    const own = [
      ...items.where('buildId', buildId),
      ...items.where('payerId', buildId).filter((item) => item.buildId !== buildId),
    ]
    const sum = (amounts: readonly number[]) => amounts.reduce((total, amount) => total + amount, 0)
    return {
      currency: builds.one('id', buildId)!.currency,
      items: own.sort((a, b) => (a.id < b.id ? -1 : 1)),
      lines,
      entries: entriesOf(world, buildId),
      rebates: lines.flatMap(({ id }) => rebates.where('lineId', id)).sort(byNumber),
      takenOver: sum(moves.where('toBuildId', buildId).map(({ toAmount }) => toAmount)),
      handedOn: sum(moves.where('fromBuildId', buildId).map(({ fromAmount }) => fromAmount)),
    }
  },
  { same: sameContent },
)

export async function readHoldings(db: Pick<Queryable, 'select'>, buildId: string): Promise<Holdings> {
  return holdingsOf(await useWorld(db), buildId)
}
