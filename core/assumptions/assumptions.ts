import { CoreError } from '../errors/coreError'
import { assertInRange, defaultsOf, type Assumption, type ValuesOf } from './assumption'
import { comparisonGroup } from './groups/comparison'
import { performanceGroup } from './groups/performance'
import { powerGroup } from './groups/power'
import { pricingGroup } from './groups/pricing'
import { resaleGroup } from './groups/resale'
import { riskGroup } from './groups/risk'

/** The one home of every figure nobody measured. Forms, schemas, workings, docs and *Settings* read it. */
export const assumptionGroups = {
  pricing: { name: 'Street prices and waiting', figures: pricingGroup },
  risk: { name: 'Faults, rebates, sellers', figures: riskGroup },
  resale: { name: 'Resale, haggling, warranty', figures: resaleGroup },
  power: { name: 'Power and heat', figures: powerGroup },
  performance: { name: 'Performance', figures: performanceGroup },
  comparison: { name: 'Comparing PCs', figures: comparisonGroup },
} as const

type Groups = typeof assumptionGroups
export type AssumptionGroup = keyof Groups

/** All assumptions in force, by group. */
export type Assumptions = { readonly [Group in AssumptionGroup]: ValuesOf<Groups[Group]['figures']> }

export const defaultAssumptions = Object.fromEntries(
  Object.entries(assumptionGroups).map(([group, { figures }]) => [group, defaultsOf(figures)]),
) as Assumptions

/** The assumption behind a key such as `risk.rebateChance`; undefined for a key nobody knows. */
export function findAssumption(key: string): Assumption | undefined {
  const at = key.indexOf('.')
  const [group, name] = [key.slice(0, at), key.slice(at + 1)]
  if (!Object.hasOwn(assumptionGroups, group)) return undefined
  const figures: Readonly<Record<string, Assumption>> = assumptionGroups[group as AssumptionGroup].figures
  return Object.hasOwn(figures, name) ? figures[name] : undefined
}

/** Keys of versions before, whose figures no formula asks for any more. */
const retired: ReadonlySet<string> = new Set(['power.peakFactor'])

/**
 * The defaults with the builder's own figures in their place.
 *
 * @param own figures by key, such as `{ 'risk.rebateChance': 0.7 }`
 * @throws CoreError `unknown-assumption`, `bad-assumption`
 * @example with `risk.rebateChance` at 0.7: everything else as by default
 */
export function assumptionsWith(own: Readonly<Record<string, number>>): Assumptions {
  const values: Record<string, Record<string, number>> = {}
  for (const [group, figures] of Object.entries(defaultAssumptions)) values[group] = { ...figures }
  for (const [key, value] of Object.entries(own)) {
    if (retired.has(key)) continue
    const assumption = findAssumption(key)
    if (!assumption) throw new CoreError('unknown-assumption', { key }, key)
    assertInRange(assumption, value, key)
    const at = key.indexOf('.')
    values[key.slice(0, at)]![key.slice(at + 1)] = value
  }
  return values as unknown as Assumptions
}
