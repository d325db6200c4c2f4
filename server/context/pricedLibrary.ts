import type { BuildRow } from '#server/context/findBuild'
import { newOrUsed } from '#core/supply/ways/newOrUsed'
import { faultsOf } from './faults'
import type { PricedPart } from '#core/machine/upgrades/baseMachines'
import { readStreetPrice } from './market'
import type { Market } from './marketState'
import { newOffers } from './newOffers'

type BuildToPrice = Pick<BuildRow, 'currency' | 'houseRules'>

/**
 * Every part of the library at what it costs today: used at the builder's patience or new, whichever the house and the
 * risk advise. Parts without a price are left out. Kept as long as the market stands.
 */
export function pricedLibrary(market: Market, build: BuildToPrice, today: string): readonly PricedPart[] {
  const { neverUsed, patience, faults } = build.houseRules
  const key = JSON.stringify([today, build.currency, neverUsed, patience, faults])
  const known = market.priced.get(key) ?? price(market, build, today)
  market.priced.set(key, known)
  return known
}

function price(market: Market, { currency, houseRules }: BuildToPrice, today: string): PricedPart[] {
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
