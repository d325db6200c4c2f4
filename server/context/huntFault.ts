import type { Part } from '#core/parts/part'
import { huntFaultLoss } from '#core/supply/risk/huntFaultLoss'
import { faultsOf } from './faults'
import type { BuildRow } from './findBuild'
import type { Market } from './marketState'
import { newOffers } from './newOffers'

/** The fault loss of a hunt up to a limit, in the build's currency: a new one as the cheapest shop sells it. */
export function huntFault(
  market: Market,
  build: Pick<BuildRow, 'currency' | 'houseRules'>,
  part: Part,
  { isNew, limit }: { readonly isNew: boolean; readonly limit: number },
  today: string,
): number {
  const [shop] = isNew ? newOffers(market, part.id, build.currency, today) : []
  return huntFaultLoss({
    role: part.role,
    condition: isNew ? 'new' : 'used',
    itemWithTax: shop ? shop.itemWithTax : limit,
    protection: shop ? market.sources.get(shop.sourceId)!.protection : 'none',
    assumptions: faultsOf(market, build, today),
  })
}
