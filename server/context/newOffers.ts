import { scaleAmount } from '#core/money/decimal'
import { convertAmount, rateTable } from '#core/money/rates'
import { landedCost } from '#core/supply/landed/landedCost'
import { shopRhythm } from '#core/pricing/shops/shopRhythm'
import type { OfferView } from '#shared/prices/views'
import { reading, sameContent } from '../readings/reading'
import { marketOf } from './marketReadings'
import type { Market } from './marketState'
import { asksFor } from './openOffers'
import { termsOf } from './termsOf'

/**
 * Cheapest price of a part new as its shop asks it, converted; null where no shop has it or its currency has no rate.
 */
export function newPriceIn(market: Market, partId: string, currency: string, today: string): number | null {
  const prices = newOffers(market, partId, currency, today).map((offer) => offer.price)
  return prices.length === 0 ? null : Math.min(...prices)
}

/** What each shop that has a part asks for it today, landed, with the rhythm of its prices; cheapest first. */
export function newOffers(
  market: Market,
  partId: string,
  currency: string,
  today: string,
): readonly OfferView[] {
  return offersOfShops(market.world, partId, currency, today)
}

const offersOfShops = reading(
  'offers of shops',
  (world, partId: string, currency: string, today: string) =>
    readOffers(marketOf(world), partId, currency, today),
  { same: sameContent, most: 20_000 },
)

function readOffers(market: Market, partId: string, currency: string, today: string): OfferView[] {
  const table = rateTable(market.rates)
  const offers: OfferView[] = []
  for (const { shopId: sourceId, ...last } of asksFor(market, partId, today)) {
    const source = market.sources.get(sourceId)!
    const points = market.shopHistory.get(partId)?.get(sourceId) ?? []
    const rate = table.find(today, last.currency, currency)
    if (rate === null) continue
    const inCurrency = (amount: number) =>
      last.currency === currency ? amount : convertAmount(amount, last.currency, currency, rate)
    const rhythm = shopRhythm(
      points
        .filter((point) => point.date <= today && point.currency === last.currency)
        .map(({ date, price }) => ({ date, price: inCurrency(price) })),
      today,
      { saleDepth: market.assumptions.pricing.saleDepth },
    )
    const {
      import: imported,
      exchangeFeePercent,
      ...terms
    } = termsOf(source, last.currency !== currency, (amount) => {
      const between = table.find(today, source.currency, last.currency)
      return amount === 0 || source.currency === last.currency || between === null
        ? amount
        : convertAmount(amount, source.currency, last.currency, between)
    })
    const order = landedCost({
      currency: last.currency,
      asOf: today,
      hassle: 0,
      ...(imported && { import: imported }),
      ...(exchangeFeePercent !== undefined && { exchangeFeePercent }),
      codes: [],
      rebates: [],
      extras: [],
      source: terms,
      items: [
        {
          id: partId,
          label: partId,
          role: 'extra',
          price: last.price,
          quantity: 1,
          faultProbability: 0,
          recoveredShare: 1,
        },
      ],
    })
    offers.push({
      sourceId,
      sourceName: source.name,
      price: inCurrency(last.price),
      date: last.date,
      leadId: last.leadId,
      landed: inCurrency(order.payNow.amount),
      itemWithTax: inCurrency(scaleAmount(last.price, 100 + source.taxPercent, 100)),
      rhythm,
    })
  }
  return offers.sort((a, b) => a.landed - b.landed)
}
