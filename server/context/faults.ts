import { faultAssumptions, type FaultAssumptions } from '#core/supply/risk/faultRisk'
import type { HouseRules } from '#shared/brief/houseRules'
import { moneyIn, type AssumptionsInForce } from './settings'

/** The table of faults in force for a build: the assumptions, with the build's own figures in their place. */
export function faultsOf(
  market: AssumptionsInForce,
  { currency, houseRules }: { readonly currency: string; readonly houseRules: HouseRules },
  today: string,
): FaultAssumptions {
  return faultAssumptions(houseRules.faults, {
    risk: market.assumptions.risk,
    hassle: moneyIn(market, 'hassle', currency, today),
  })
}
