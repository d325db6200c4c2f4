import { yearlyEnergyCost } from '../../../machine/power/wallDraw'
import { roundHalfAway } from '../../../money/decimal'
import type { StepRule } from '../adjustment'

export const energy: StepRule = {
  id: 'energy',
  label: 'energy',
  amount: ({ watts }, { years, fullHours, idleHours, tariff }) => {
    if (watts === null) return null
    const yearly =
      yearlyEnergyCost(watts.full, fullHours, tariff) + yearlyEnergyCost(watts.idle, idleHours, tariff)
    const amount = roundHalfAway(yearly * years)
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
