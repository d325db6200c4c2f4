import { resaleDefaults, type ResaleAssumptions } from '../../assumptions/groups/resale'
import type { PartQuery } from '../../reading/titles/queryForPart'
import { priceQueryDefaults, type PriceQuery } from '../../reading/titles/priceQuery'

/** The words by which whole machines like one are found. */
export interface MachineQuery extends PartQuery {
  /** What they have in common with it, in words. */
  readonly like: string
}

/** A part that makes a machine comparable: its name and the words it is found by. */
export interface TellingPart {
  readonly name: string
  readonly query: Pick<PriceQuery, 'must' | 'variant'>
}

type MachineDays = Pick<ResaleAssumptions, 'machineWindowDays' | 'machineHalfLifeDays'>

/**
 * The queries for machines like one, the nearest first: with its graphics card and its CPU, then with the card alone,
 * which sets most of the price; of a machine without a card with its CPU.
 */
export function machineQueries(
  cpu: TellingPart | null,
  card: TellingPart | null,
  { machineWindowDays: windowDays, machineHalfLifeDays: halfLifeDays }: MachineDays = resaleDefaults,
): MachineQuery[] {
  const of = (...parts: readonly TellingPart[]): MachineQuery => ({
    ...priceQueryDefaults,
    conditions: [...priceQueryDefaults.conditions],
    manners: [...priceQueryDefaults.manners],
    thing: 'machine',
    windowDays,
    halfLifeDays,
    must: parts.flatMap(({ query }) => query.must),
    mustNot: [],
    variant: { siblings: parts.flatMap(({ query }) => query.variant?.siblings ?? []) },
    like: `with ${parts.map(({ name }) => name).join(' and ')}`,
  })
  if (card === null) return cpu === null ? [] : [of(cpu)]
  return cpu === null ? [of(card)] : [of(cpu, card), of(card)]
}
