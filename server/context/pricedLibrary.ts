import type { BuildRow } from '#server/context/findBuild'
import { newOrUsed } from '#core/supply/ways/newOrUsed'
import { faultsOf } from './faults'
import type { PricedPart } from '#core/machine/upgrades/pricedPart'
import { readStreetPrice } from './market'
import { reading, sameContent } from '../readings/reading'
import { marketOf } from './marketReadings'
import type { Market } from './marketState'
import { newOffers } from './newOffers'

type BuildToPrice = Pick<BuildRow, 'currency' | 'houseRules'>

/**
 * Every part of the library at what it costs today: used at the builder's patience or new, whichever the house and the
 * risk advise. Parts without a price are left out.
 */
export function pricedLibrary(market: Market, build: BuildToPrice, today: string): readonly PricedPart[] {
  const { neverUsed, patience, faults } = build.houseRules
  const rules: Rules = { neverUsed, patience, faults }
  return priced(market.world, build.currency, JSON.stringify(rules), today)
}

type Rules = Pick<BuildRow['houseRules'], 'neverUsed' | 'patience' | 'faults'>

const priced = reading(
  'priced library',
  (world, currency: string, rules: string, today: string) =>
    price(marketOf(world), { currency, houseRules: JSON.parse(rules) as Rules }, today),
  { same: sameContent, most: 50 },
)

function price(
  market: Market,
  { currency, houseRules }: { readonly currency: string; readonly houseRules: Rules },
  today: string,
): PricedPart[] {
  const assumptions = faultsOf(market, { currency, houseRules }, today)
  return market.library.flatMap((part): PricedPart[] => {
    // nobody can go and buy an open part
    if (part.open) return []
    const figures = newOrUsed({
      role: part.role,
      assumptions,
      street:
        readStreetPrice(market, part.id, today, currency).marks?.[houseRules.patience ?? 'typical'] ?? null,
      fresh: newOffers(market, part.id, currency, today)[0]?.landed ?? null,
      usedForbidden: houseRules.neverUsed.includes(part.role),
    })
    const way =
      figures.advice === 'used' || figures.advice === 'only-used'
        ? figures.used
        : figures.advice === 'not-known'
          ? null
          : figures.fresh
    return way === null ? [] : [{ part, price: way.price }]
  })
}
