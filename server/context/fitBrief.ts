import { moneyIn, type AssumptionsInForce } from './settings'
import type { FitBrief } from '#core/machine/fit/finding'
import { machineRulesSchema } from '#shared/brief/schemas'
import { supplyRuleOf } from '#core/machine/power/supplySize'
import type { HouseRules, MachineRules, NeedEntry } from '#shared/brief/houseRules'

/** What the rules are read from: a build's row, or its view. */
interface Rules {
  readonly currency: string
  readonly houseRules: HouseRules
  readonly needs: readonly NeedEntry[]
}

/** The rules about the machine as they hold: where a build says nothing, the assumptions. `tariff` in minor units. */
export type RulesInForce = Omit<MachineRules, 'tariff' | 'roomC'> & {
  readonly tariff: number
  readonly roomC: number
}

export function machineRules(
  market: AssumptionsInForce,
  { houseRules, currency }: Rules,
  today: string,
): RulesInForce {
  const { power } = market.assumptions
  const { tariff: _tariff, supplyRule: _rule, ...defaults } = machineRulesSchema.getDefault()
  const said = houseRules.machine ?? {
    ...(defaults as Partial<MachineRules>),
    supplyRule: supplyRuleOf(power),
  }
  return {
    ...(said as MachineRules),
    tariff: said.tariff ?? moneyIn(market, 'tariff', currency, today),
    roomC: said.roomC ?? power.roomC,
  }
}

/** What the fit check needs to know of a build. */
export function fitBriefOf(market: AssumptionsInForce, build: Rules, today: string): FitBrief {
  const {
    supplyRule,
    roomC,
    oldestCpuYear,
    smallestDriveGb,
    leastSupplyW,
    avoidedMakes,
    screenPlugs,
    colour,
    cablesHidden,
    needsSecurityModule,
  } = machineRules(market, build, today)
  return {
    year: Number(today.slice(0, 4)),
    power: market.assumptions.power,
    needs: build.needs.map(({ need }) => need),
    supplyRule,
    roomC,
    oldestCpuYear,
    smallestDriveGb,
    leastSupplyW,
    avoidedMakes,
    screenPlugs,
    colour,
    cablesHidden,
    needsSecurityModule,
  }
}
