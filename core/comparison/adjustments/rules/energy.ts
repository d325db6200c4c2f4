import { yearlyEnergyCost } from '../../../machine/power/wallDraw'
import { roundHalfAway } from '../../../money/decimal'
import type { WeighingTerms } from '../../weighedMachine'
import type { StepRule } from '../adjustment'

export const energy: StepRule = {
  id: 'energy',
  label: 'energy',
  amount: ({ watts }, terms) => {
    if (watts === null) return null
    const { years, fullHours, idleHours } = terms
    const amount = roundHalfAway(energyOver(watts, terms))
    return amount === 0
      ? null
      : {
          amount,
          why:
            `${Math.round(watts.full)} W for ${fullHours} h and ${Math.round(watts.idle)} W for ` +
            `${idleHours} h per day, ${years} years`,
          from: watts.kind,
        }
  },
}

/**
 * What is drawn over the years costs, minor units, not rounded.
 *
 * @example energyOver({ full: 300, idle: 0 }, { years: 3, fullHours: 3, idleHours: 0, tariff: 30 }) // 29565
 */
export function energyOver(
  { full, idle }: { readonly full: number; readonly idle: number },
  {
    years,
    fullHours,
    idleHours,
    tariff,
  }: Pick<WeighingTerms, 'years' | 'fullHours' | 'idleHours' | 'tariff'>,
): number {
  return (yearlyEnergyCost(full, fullHours, tariff) + yearlyEnergyCost(idle, idleHours, tariff)) * years
}
