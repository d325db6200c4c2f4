import { netResale } from '#core/supply/lots/splitLot'
import type { Part } from '#core/parts/part'
import { expandDonors } from '#core/parts/expandDonors'
import { streetAt } from './market'
import { part as libraryPart } from './marketReadings'
import type { Market } from './marketState'

/** How a single part is sold: the fee of an auction and a parcel. */
export function sellingTerms(market: Market, currency: string): { feePercent: number; shipping: number } {
  const seller = [...market.sources.values()].find((source) => source.kind === 'auction')
  return {
    feePercent: seller?.sellerFeePercent ?? 0,
    shipping: seller?.currency === currency ? seller.shippingAmount : 0,
  }
}

/**
 * What parts would fetch today, net of fee, parcel and the chance that they sell: each by its typical mark, a donor by
 * what is known to be in it, as it is parted out. Extras go with the machine and are not valued. Null where a part was
 * never sold.
 */
export function worthOfParts(
  market: Market,
  parts: readonly Part[],
  currency: string,
  today: string,
): number | null {
  let sum = 0
  const library = { get: (id: string) => libraryPart(market.world, id) ?? undefined }
  for (const part of expandDonors(parts, library)) {
    if (part.role === 'extra') continue
    const typical = streetAt(market, part.id, today, currency)
    if (typical === null) return null
    sum += netResale({
      id: part.id,
      plan: 'resell',
      streetPrice: typical,
      sellsProbability: market.assumptions.resale.sells,
      ...sellingTerms(market, currency),
    })
  }
  return sum
}
