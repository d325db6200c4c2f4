import { comparisonDefaults, type ComparisonAssumptions } from '../../assumptions/groups/comparison'
import { tableOf } from '../../assumptions/tableOf'
import type { Role } from '../../parts/part'
import type { FittedDecline } from './ageDecline'

/** What loses value by a figure of its own: parts by role, hard disks, and whole machines of which no part is known. */
export type ValueKind = Role | 'hdd' | 'console' | 'whole'

/** Share of its value that a kind keeps over a year. */
export type KeptValue = Readonly<Partial<Record<ValueKind, number>>> & { readonly whole: number }

/** What is kept, with the ends of its 90 % range. */
export interface KeptRange {
  readonly kept: KeptValue
  readonly low: KeptValue
  readonly high: KeptValue
}

const z90 = 1.645

/**
 * Share of its value that each kind keeps a year: the weighted mean in ln of what the sold records of its role say
 * (weight 1/SE²) and the default (spread `comparison.keepsSpread`), with its 90 % range, docs/formulas.md (Value
 * left). Held between `comparison.keepsLeast` and `keepsMost`.
 *
 * @example records say 0.70 ± 0.10, the default is 0.78 ± 0.10: √(0.70 · 0.78) = 0.739, 90 % range × e^(±0.116)
 */
export function keptValue(
  fitted: Readonly<Partial<Record<string, FittedDecline>>>,
  assumptions: ComparisonAssumptions = comparisonDefaults,
): KeptRange {
  const { keepsLeast, keepsMost, keepsSpread } = assumptions
  const held = (share: number) => Math.min(keepsMost, Math.max(keepsLeast, share))
  const entries = Object.entries(tableOf(assumptions, 'keeps')).map(([kind, usual]) => {
    const found = fitted[kind]
    const weights = [keepsSpread ** -2, ...(found ? [found.error ** -2] : [])]
    const logs = [Math.log(usual), ...(found ? [Math.log(found.kept)] : [])]
    const all = weights.reduce((sum, weight) => sum + weight, 0)
    const mean = logs.reduce((sum, log, at) => sum + log * weights[at]!, 0) / all
    const width = z90 / Math.sqrt(all)
    return [kind, held(Math.exp(mean)), held(Math.exp(mean - width)), held(Math.exp(mean + width))] as const
  })
  const side = (at: 1 | 2 | 3) =>
    Object.fromEntries(entries.map((entry) => [entry[0], entry[at]])) as unknown as KeptValue
  return { kept: side(1), low: side(2), high: side(3) }
}

/**
 * What a thing fetches used today, minor units: its street price, else what a thing bought new falls to; null where neither
 * is known.
 *
 * @example usedWorth(null, 10000, { newFalls: 0.75 }) // 7500: no street price, 100.00 new
 */
export function usedWorth(
  street: number | null,
  fresh: number | null,
  { newFalls }: Pick<ComparisonAssumptions, 'newFalls'> = comparisonDefaults,
): number | null {
  return street ?? (fresh === null ? null : Math.round(newFalls * fresh))
}
