import type { Part } from '../../parts/part'
import type { Grade } from '../../pricing/street/grade'
import type { Condition } from '../../reading/sales/soldRecord'

export const wayKinds = ['item', 'lead', 'lot', 'shop', 'hunt'] as const
/** A thing of mine · a single lead · a lot, bundle or donor that holds it · a shop's price or open offer · a hunt at a mark. */
export type WayKind = (typeof wayKinds)[number]

/**
 * One way to get a part; amounts in minor units of the build's currency, null where not known. docs/formulas.md
 * (Ways).
 */
export interface Way {
  /** Names the way among all ways: its kind and what it is of. */
  readonly id: string
  readonly kind: WayKind
  readonly part: Part
  /** What else would be kept of a lot. */
  readonly others: readonly Part[]
  readonly condition: Condition
  readonly payNow: number
  readonly afterRebates: number
  /** With the risk of a fault and the chance of its rebates; what comes along of a lot sold on. */
  readonly expected: number
  readonly anyoneCanPay: number | null
  /** House rules it breaks, in words. */
  readonly breaks: readonly string[]
  /** Why it is no bargain to be counted on, in words; empty where nothing speaks against it. */
  readonly doubt: string
  readonly from: string
  readonly url: string
  /** Evidence behind its price: a hunt's street price; an ask stands for itself. */
  readonly grade: Grade | 'ask'
  readonly mark: 'patient' | 'typical' | 'hurried' | null
  readonly leadId: string | null
  readonly itemId: string | null
}

/** Whether a way can be taken for its part alone, and nothing speaks against it. */
export function isTakeable(way: Way): boolean {
  return way.others.length === 0 && way.breaks.length === 0 && way.doubt === ''
}

/** What the part itself takes by a way: what is paid now; of a lot its effective cost, the rest sold on. */
export function priceByWay({ kind, payNow, expected }: Way): number {
  return kind === 'lot' ? expected : payNow
}

/**
 * The cheapest way of each part that can be taken, by expected cost, so that risk and what comes along count; level
 * ones by what is paid now, then by name, so that the order of the list does not matter.
 *
 * @example a lead at 90.00 expected 98.00 and a hunt at 95.00 expected 97.00: the hunt
 */
export function cheapestWays(ways: readonly Way[]): Map<string, Way> {
  const best = new Map<string, Way>()
  for (const way of ways) {
    if (!isTakeable(way)) continue
    const known = best.get(way.part.id)
    if (!known || isCheaper(way, known)) best.set(way.part.id, way)
  }
  return best
}

function isCheaper(a: Way, b: Way): boolean {
  if (a.expected !== b.expected) return a.expected < b.expected
  if (a.payNow !== b.payNow) return a.payNow < b.payNow
  return a.id < b.id
}
