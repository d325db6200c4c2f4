import { machineQueries, type MachineQuery, type TellingPart } from '#core/pricing/machines/machineQuery'
import { streetPrice, type StreetPrice } from '#core/pricing/street/streetPrice'
import { partLabel, type Part, type Role } from '#core/parts/part'
import { netResale } from '#core/supply/lots/splitLot'
import { partsAlone, type Selling } from '#shared/ledger/selling'
import { reading } from '../readings/reading'
import { marketOf } from './marketReadings'
import type { Market } from './marketState'

/** Whole machines sold that are like one, and by which words they were found. */
export interface SoldMachines {
  readonly query: MachineQuery
  readonly reading: StreetPrice
}

/** Comps from which on the nearer machines are enough by themselves. */
const enough = 3

/** Machines like the one of these parts that were sold; the nearest that are enough. Null where nothing tells what is like it. */
export function soldMachines(
  market: Market,
  parts: readonly Part[],
  selling: Selling | null,
  today: string,
  currency: string,
): SoldMachines | null {
  const queries = queriesOf(market, parts, selling ?? partsAlone)
  return machinesSold(
    market.world,
    JSON.stringify(queries),
    JSON.stringify(selling?.leftOut ?? []),
    today,
    currency,
  )
}

const machinesSold = reading(
  'machines sold',
  (world, queries: string, leftOut: string, today: string, currency: string) =>
    readMachines(
      marketOf(world),
      JSON.parse(queries) as MachineQuery[],
      JSON.parse(leftOut) as number[],
      today,
      currency,
    ),
  { most: 500 },
)

function readMachines(
  market: Market,
  queries: readonly MachineQuery[],
  leftOut: readonly number[],
  today: string,
  currency: string,
): SoldMachines | null {
  const overrides = Object.fromEntries(leftOut.map((id) => [String(id), 'drop' as const]))
  let found: SoldMachines | null = null
  for (const query of queries) {
    const reading = streetPrice({ ...query, asOf: today, currency }, market.index.candidates(query.must), {
      rates: market.rates,
      overrides,
      missingRate: 'drop',
    })
    if (found === null || reading.kept.length > found.reading.kept.length) found = { query, reading }
    if (reading.kept.length >= enough) break
  }
  return found
}

function queriesOf(market: Market, parts: readonly Part[], { must, mustNot }: Selling): MachineQuery[] {
  const telling = (role: Role): TellingPart | null => {
    const part = parts.find((each) => each.role === role)
    return part ? { name: partLabel(part), query: market.queries.get(part.id)! } : null
  }
  const own = must === null || must.length === 0 ? null : must
  const queries = machineQueries(telling('cpu'), telling('graphics'), market.assumptions.resale)
  return (own === null ? queries : queries.slice(0, 1)).map((query) => ({
    ...query,
    mustNot,
    ...(own === null ? {} : { must: own, variant: {}, like: `named ${own.join(' ')}` }),
  }))
}

/**
 * Net resale of the machine as a whole by the basis the builder chose; undefined where it is read from its parts, null
 * where it is not known: no such machine was sold, or this one is not whole.
 */
export function machineWorthOf(
  market: Market,
  build: { readonly selling: Selling | null; readonly currency: string },
  parts: readonly Part[],
  isWhole: boolean,
  today: string,
): number | null | undefined {
  const selling = build.selling ?? partsAlone
  if (selling.basis === 'parts') return undefined
  if (selling.basis === 'own') return selling.own
  const typical = isWhole
    ? (soldMachines(market, parts, selling, today, build.currency)?.reading.marks?.typical ?? null)
    : null
  return typical === null
    ? null
    : netResale({
        id: 'machine',
        plan: 'resell',
        streetPrice: typical,
        sellsProbability: market.assumptions.resale.sells,
      })
}
