import type { CalendarDate } from '../time/calendarDate'

/** Kinds of entries; `out` is money that leaves the builder. */
export const entryKinds = {
  bought: { name: 'bought', sign: -1 },
  fee: { name: 'fee', sign: -1 },
  travel: { name: 'travel', sign: -1 },
  refunded: { name: 'refunded', sign: 1 },
  rebate: { name: 'rebate paid', sign: 1 },
  sold: { name: 'sold', sign: 1 },
  hours: { name: 'hours', sign: 0 },
  correction: { name: 'correction', sign: 0 },
} as const
export type EntryKind = keyof typeof entryKinds

/** A dated entry. `cash` in minor units of one currency: below zero where money left. Nothing is ever removed again; a correction is an entry. */
export interface LedgerEntry {
  readonly id: string
  readonly day: CalendarDate
  readonly kind: EntryKind
  readonly cash: number
  readonly hours: number
  /** The thing it belongs to; null for what concerns the build as a whole. */
  readonly choiceId: string | null
}

export interface LedgerLine {
  readonly choiceId: string
  /** What is still to be paid for it where nothing has been paid yet. */
  readonly stillToPay: number
  /** Open rebates and returns under way. */
  readonly toComeBack: number
  readonly anyoneCanPay: number | null
}

export interface LedgerAccount {
  /** All that left, as a positive figure; all that came back; what it has cost so far. */
  readonly paid: number
  readonly cameBack: number
  readonly net: number
  readonly due: number
  readonly toComeBack: number
  /** Net once everything due is paid and everything open has come back. */
  readonly inTheEnd: number
  readonly hours: number
  readonly byChoice: ReadonlyMap<
    string,
    { readonly net: number; readonly anyoneCanPay: number | null; readonly difference: number | null }
  >
  /** Net of the things with a known price for anyone, and that price. */
  readonly compared: { readonly net: number; readonly anyoneCanPay: number }
  /** Entries by day with the cash standing after each, oldest first. */
  readonly running: readonly { readonly id: string; readonly standing: number }[]
}

/** The account of a build: paid, due, to come back, and paid against what anyone can pay, line by line. The order of the entries does not matter. */
export function ledgerAccount(entries: readonly LedgerEntry[], lines: readonly LedgerLine[]): LedgerAccount {
  const dated = [...entries].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.id < b.id ? -1 : 1))
  let standing = 0
  const running = dated.map((entry) => ({ id: entry.id, standing: (standing += entry.cash) }))
  const paid = -entries.reduce((sum, { cash }) => sum + Math.min(0, cash), 0)
  const cameBack = entries.reduce((sum, { cash }) => sum + Math.max(0, cash), 0)
  const due = lines.reduce((sum, line) => sum + line.stillToPay, 0)
  const toComeBack = lines.reduce((sum, line) => sum + line.toComeBack, 0)
  const byChoice = new Map<string, { net: number; anyoneCanPay: number | null; difference: number | null }>()
  for (const entry of entries) {
    if (entry.choiceId === null) continue
    const known = byChoice.get(entry.choiceId)
    byChoice.set(entry.choiceId, {
      net: (known?.net ?? 0) - entry.cash,
      anyoneCanPay: null,
      difference: null,
    })
  }
  for (const line of lines) {
    const known = byChoice.get(line.choiceId)
    if (known)
      byChoice.set(line.choiceId, {
        net: known.net,
        anyoneCanPay: line.anyoneCanPay,
        difference: line.anyoneCanPay === null ? null : line.anyoneCanPay - known.net,
      })
  }
  const comparable = [...byChoice.values()].filter((each) => each.anyoneCanPay !== null)
  return {
    paid,
    cameBack,
    net: paid - cameBack,
    due,
    toComeBack,
    inTheEnd: paid - cameBack + due - toComeBack,
    hours: entries.reduce((sum, entry) => sum + entry.hours, 0),
    byChoice,
    compared: {
      net: comparable.reduce((sum, each) => sum + each.net, 0),
      anyoneCanPay: comparable.reduce((sum, each) => sum + each.anyoneCanPay!, 0),
    },
    running,
  }
}

/** Cash that has left for each thing so far, less refunds. A rebate that was paid is money back, not a lower price at the till, and is left out. */
export function paidByChoice(
  entries: readonly Pick<LedgerEntry, 'kind' | 'cash' | 'choiceId'>[],
): Map<string, number> {
  const paid = new Map<string, number>()
  for (const { kind, cash, choiceId } of entries)
    if (choiceId !== null && kind !== 'rebate') paid.set(choiceId, (paid.get(choiceId) ?? 0) - cash)
  return paid
}
