import { askLadder, buyersPerDay, daysUntilSold, weeksOf } from '#core/ledger/askLadder'
import { askFor, netOfSale, resale } from '#core/ledger/resale'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal, toDecimal } from '#core/money/decimal'
import type { Part } from '#core/parts/part'
import { daysForAllHunts, type PriceFlow } from '#core/pricing/patience/patience'
import { findBuild } from '#server/context/findBuild'
import { readStreetPrice, streetAt } from '#server/context/market'
import type { Market } from '#server/context/marketState'
import type { ReadBuild } from '#server/context/readBuild'
import { soldMachines, type SoldMachines } from '#server/context/soldMachines'
import { sellingTerms } from '#server/context/worthToday'
import { act } from '#server/db/action'
import type { Database } from '#server/db/client'
import { partsAlone, type Selling, type SellingChange, type SellingInput } from '#shared/ledger/selling'
import type { LedgerView, SellingView } from '#shared/ledger/views'

/** Sold by hand: no fee, no parcel. */
const byHand = { feePercent: 0, shipping: 0 }
const mostComps = 40
/** How sure the days until a sale are. */
const likely = 0.8

/** What the machine would fetch, whole or in parts, and how to ask for it; after its sale there is nothing to fetch. */
export function sellingOf(
  { view, scales: { market } }: ReadBuild,
  stated: Selling | null,
  today: string,
): Pick<LedgerView, 'resale' | 'selling'> {
  const { account } = view.receipt
  const { currency } = view
  const selling = stated ?? partsAlone
  const parts = view.state === 'sold' ? [] : view.parts.filter((part) => part.role !== 'extra')
  const machines = soldMachines(market, parts, selling, today, currency)
  const typical = machines?.reading.marks?.typical ?? null
  const { wholeFactor, haggleShare, sells, buyerShare, sellingDays } = market.assumptions.resale
  const sides = resale({
    parts: parts.map((part) => ({ id: part.id, typical: streetAt(market, part.id, today, currency) })),
    cost: account.cost.amount + (account.toPay?.amount ?? 0),
    hours: account.hours,
    whole: byHand,
    single: sellingTerms(market, currency),
    wholeFactor,
    soldMachines: typical,
    haggleShare,
    sells,
  })
  const flow = machines && { ...machines.reading.flow, catchShare: buyerShare }
  const ladder = flow
    ? askLadder({
        flow,
        weeks: weeksOf(sellingDays),
        net: (price) => netOfSale(price, byHand),
        otherwise: sides.parting.net,
        perWeek: 0,
      })
    : []
  return {
    resale: sides,
    selling: {
      ...selling,
      machines: machines && machinesView(market, machines),
      wholeDays: flow && typical !== null ? daysUntilSold(flow, typical, likely) : null,
      byPartsDays: flow ? daysUntilSold(flow, sides.whole.gross, likely) : null,
      partingDays: partingDays(market, parts, today, currency),
      ladder: ladder.map(({ week, price, chance, least }) => ({
        week,
        price,
        ask: askFor(price, haggleShare),
        chance,
        least,
      })),
    },
  }
}

function machinesView(
  market: Market,
  { query, reading }: SoldMachines,
): NonNullable<SellingView['machines']> {
  const price = new Map(reading.kept.map(({ id, unitPrice }) => [id, unitPrice]))
  const leftOut = new Set(reading.dropped.flatMap(({ id, reason }) => (reason === 'builder' ? [id] : [])))
  return {
    like: query.like,
    words: query.must,
    grade: reading.grade,
    count: reading.kept.length,
    typical: reading.marks?.typical ?? null,
    interval: reading.interval,
    comps: market.index
      .candidates(query.must)
      .filter(({ id }) => price.has(id) || leftOut.has(id))
      .sort((a, b) => (a.soldOn < b.soldOn ? 1 : -1))
      .slice(0, mostComps)
      .map(({ id, title, price: paid, soldOn, source }) => ({
        id: Number(id),
        title,
        price: price.get(id) ?? paid,
        soldOn,
        source,
        isLeftOut: leftOut.has(id),
      })),
  }
}

/** Days until all parts have found their buyers at their typical price. */
function partingDays(market: Market, parts: readonly Part[], today: string, currency: string): number | null {
  const { buyerShare } = market.assumptions.resale
  const rates = parts.map(({ id }) => {
    const { flow, marks } = readStreetPrice(market, id, today, currency)
    const all: PriceFlow = { ...flow, catchShare: buyerShare }
    return marks === null ? 0 : buyersPerDay(all, marks.typical)
  })
  return parts.length === 0 ? null : daysForAllHunts(rates, likely)
}

/** Says what the worth of a machine is read from; an action, so that it can be taken back. */
export async function setSelling(
  db: Database,
  id: string,
  change: SellingChange,
  today: string,
): Promise<void> {
  const build = await findBuild(db, id)
  await act(
    db,
    {
      kind: 'value',
      text: `${build.name}: basis of its value changed`,
      day: today,
      buildId: build.variantOf ?? id,
    },
    today,
    async (action) => {
      // read inside, so that two changes at once are one after the other
      const { selling: before, currency } = await findBuild(action.tx, id)
      const selling = changed(before ?? partsAlone, change, currency)
      if (selling.basis === 'own' && selling.own === null) throw new CoreError('no-figure', {}, 'own')
      await action.name(
        `${build.name}: worth today based on ${basisWords[selling.basis]}`,
        build.variantOf ?? id,
      )
      await action.update('builds', id, { selling })
    },
  )
}

function changed(
  before: Selling,
  { basis, own, must, mustNot, leftOut }: SellingChange,
  currency: string,
): Selling {
  return {
    basis: basis ?? before.basis,
    own: own === undefined ? before.own : own === null ? null : parseDecimal(own, currency, 'own'),
    must: must === undefined ? before.must : must,
    mustNot: mustNot ?? before.mustNot,
    leftOut: leftOut ?? before.leftOut,
  }
}

export function sellingRow({ own, must, ...stated }: SellingInput, currency: string): Selling {
  return { ...stated, must: must ?? null, own: own === null ? null : parseDecimal(own, currency, 'own') }
}

/** As a file states it: records have other numbers elsewhere. */
export function sellingInput(selling: Selling | null, currency: string): SellingInput | null {
  if (selling === null) return null
  const { basis, own, must, mustNot } = selling
  return {
    basis,
    own: own === null ? null : toDecimal(own, currency),
    must: must === null ? null : [...must],
    mustNot: [...mustNot],
    leftOut: [],
  }
}

const basisWords = {
  parts: 'its parts',
  machines: 'PCs sold',
  own: 'your own figure',
} as const
