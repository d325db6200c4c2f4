import type { FitBrief } from '#core/machine/fit/finding'
import { machineRulesSchema } from '#shared/brief/schemas'
import { defaultSupplyRule } from '#core/machine/power/supplySize'
import type { HouseRules, MachineRules, NeedEntry } from '#shared/brief/houseRules'

/** What the rules are read from: a build's row, or its view. */
interface Rules {
  readonly houseRules: HouseRules
  readonly needs: readonly NeedEntry[]
}

/** The house's rules about the machine, with the defaults where a build says nothing; `tariff` in minor units. */
export function machineRules({ houseRules }: Rules): MachineRules {
  if (houseRules.machine) return houseRules.machine
  const { tariff: _tariff, supplyRule: _rule, ...rest } = machineRulesSchema.getDefault()
  return { ...rest, supplyRule: defaultSupplyRule, tariff: 14 } as unknown as MachineRules
}

/** What the fit check wants to know of a build. */
export function fitBriefOf(build: Rules, today: string): FitBrief {
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
  } = machineRules(build)
  return {
    year: Number(today.slice(0, 4)),
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
