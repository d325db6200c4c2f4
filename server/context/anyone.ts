import { rateTable } from '#core/money/rates'
import type { Part } from '#core/parts/part'
import { anyoneCanPay, type ShopTerms, type ThingToGet } from '#core/supply/anyone/anyoneCanPay'
import type { BuildRow } from './findBuild'
import { streetAt } from './market'
import type { Market } from './marketState'
import { asksFor } from './openOffers'
import { termsOf } from './termsOf'
import { codesOfSource } from './valuedLeads'

/** The terms of every shop, for a build in a currency. */
export function shopTerms(market: Market, currency: string, today: string): Map<string, ShopTerms> {
  return new Map(
    [...market.sources.values()].map((source) => {
      const { import: imported, exchangeFeePercent, ...terms } = termsOf(source, source.currency !== currency)
      return [
        source.id,
        {
          currency: source.currency,
          source: terms,
          codes: codesOfSource(source, source.currency, today, 'public'),
          ...(imported && { import: imported }),
          ...(exchangeFeePercent !== undefined && { exchangeFeePercent }),
        },
      ]
    }),
  )
}

/** A part to be had, as used as the house allows. */
export interface PartToGet {
  readonly id: string
  readonly part: Part
  /** Chosen new: its street price does not count. */
  readonly isNew: boolean
}

interface WhoPays extends Pick<BuildRow, 'currency'> {
  readonly houseRules: Pick<BuildRow['houseRules'], 'neverUsed' | 'patience'>
}

/** The market price for each of these parts, by the id asked with. */
export function anyonePrices(
  market: Market,
  { currency, houseRules }: WhoPays,
  parts: readonly PartToGet[],
  today: string,
): Map<string, number | null> {
  const things = parts.map(({ id, part, isNew }): ThingToGet => ({
    id,
    partId: part.id,
    role: part.role,
    used:
      isNew || houseRules.neverUsed.includes(part.role)
        ? null
        : streetAt(market, part.id, today, currency, houseRules.patience),
    asks: asksFor(market, part.id, today).filter(
      ({ shopId, currency: asked }) => asked === market.sources.get(shopId)!.currency,
    ),
  }))
  return anyoneCanPay(things, {
    currency,
    today,
    rates: rateTable(market.rates),
    shops: shopTerms(market, currency, today),
    bundles: market.openBundles,
  })
}
