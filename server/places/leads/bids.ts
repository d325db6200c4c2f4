import { moneySize } from '#core/assumptions/moneySize'
import { convertBack, rateTable } from '#core/money/rates'
import { bidLadder } from '#core/supply/bids/bidLadder'
import { highestPriceWithin } from '#core/supply/haggle/highestPriceWithin'
import { daysBetween } from '#core/time/calendarDate'
import type { BuildRow } from '#server/context/findBuild'
import { readStreetPrice } from '#server/context/market'
import type { Market } from '#server/context/marketState'
import type { ValuedLead } from '#server/context/valuedLeads'
import type { BidsView } from '#shared/leads/views'

interface BidsOf {
  readonly market: Market
  readonly build: BuildRow
  readonly today: string
  /** What the part costs otherwise, expected, in the build's currency. */
  readonly otherwise: number
}

/** The one part that an auction is for; null for a lot, one that is over, too late or no auction. */
function partOfAuction({ lead }: ValuedLead, { today, build }: BidsOf): string | null {
  const [only, ...more] = lead.things
  const isOpen =
    lead.manner === 'auction' &&
    lead.state === 'open' &&
    lead.condition !== 'damaged' &&
    lead.endsOn !== null &&
    lead.endsOn >= today &&
    (build.wantedBy === null || lead.endsOn <= build.wantedBy)
  return isOpen && only !== undefined && more.length === 0 && only.quantity === 1 && only.plan === 'keep'
    ? only.partId
    : null
}

/** The most to bid on an auction and on the later ones of the same part; null where it is no such auction. */
export function bidsOf(own: ValuedLead, valued: readonly ValuedLead[], of: BidsOf): BidsView | null {
  const { market, build, today, otherwise } = of
  const partId = partOfAuction(own, of)
  if (partId === null) return null
  const auctions = valued.filter((each) => partOfAuction(each, of) === partId)
  const { flow } = readStreetPrice(market, partId, today, build.currency)
  const ladder = bidLadder({
    auctions: auctions.map(({ lead, value }) => ({
      id: lead.id,
      endsIn: daysBetween(today, lead.endsOn!),
      least: value.expectedAfterResale,
      besides: value.expectedAfterResale - value.payNow,
    })),
    prices: flow.prices,
    weights: flow.weights,
    otherwise,
    perDay: 0,
  })
  return {
    otherwise,
    expected: Math.round(ladder.expected),
    chance: ladder.chance,
    sales: flow.prices.length,
    rungs: ladder.rungs.map(({ id, most, chance }) => {
      const auction = auctions.find(({ lead }) => lead.id === id)!
      const { title, endsOn, currency, price } = auction.lead
      return {
        leadId: id,
        title,
        endsOn: endsOn!,
        currency,
        standsAt: price,
        bid: mostToBid(auction, most, of),
        chance,
      }
    }),
  }
}

/** The highest price, in the seller's currency, at which all of it together stays within the most; null where none does. */
function mostToBid(
  { lead, revalue }: ValuedLead,
  most: number,
  { market, build, today }: BidsOf,
): number | null {
  const rate = rateTable(market.rates).rateOn(today, lead.currency, build.currency)
  const top = lead.currency === build.currency ? most : convertBack(most, lead.currency, build.currency, rate)
  const price = highestPriceWithin(
    (each) => revalue(each).expectedAfterResale,
    most,
    Math.max(0, top),
    moneySize(lead.currency),
  )
  return price !== null && price >= lead.price ? price : null
}
