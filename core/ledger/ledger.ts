import type { CalendarDate } from '../time/calendarDate'
import { cashKinds, type CashKind } from './account'

/** Kinds of entries and their names. */
export const entryKinds = {
  bought: 'bought',
  fee: 'fee',
  travel: 'travel',
  refunded: 'refunded',
  rebate: 'rebate paid',
  sold: 'sold',
  'sale-cost': 'fee and shipping of a sale',
  'machine-sold': 'machine sold',
  'machine-sale-cost': 'fee and shipping of its sale',
  hours: 'hours',
} as const satisfies Readonly<Record<CashKind | 'hours', string>>
export type EntryKind = keyof typeof entryKinds

/** Which way money of a kind goes: below zero where it leaves the builder. Hours are no cash. */
export function signOf(kind: EntryKind): -1 | 0 | 1 {
  if (kind === 'hours') return 0
  return cashKinds[kind] === 'out' || kind === 'sale-cost' || kind === 'machine-sale-cost' ? -1 : 1
}

/** A dated entry. `cash` in minor units of one currency: below zero where money left. */
export interface LedgerEntry {
  readonly id: string
  readonly day: CalendarDate
  readonly cash: number
}

/**
 * The cash standing after each entry, oldest first; of one day in the order of their ids. The order of the list does
 * not matter.
 *
 * @example runningCash([{ id: 'b', day: '2026-10-02', cash: 5 }, { id: 'a', day: '2026-10-01', cash: -9 }]) // [{ id:
 *   'a', standing: -9 }, { id: 'b', standing: -4 }]
 */
export function runningCash(entries: readonly LedgerEntry[]): { id: string; standing: number }[] {
  let standing = 0
  return [...entries]
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.id < b.id ? -1 : 1))
    .map(({ id, cash }) => ({ id, standing: (standing += cash) }))
}
