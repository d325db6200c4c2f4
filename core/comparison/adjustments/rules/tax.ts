import { percentOf } from '../../../money/decimal'
import type { StepRule } from '../adjustment'

export const tax: StepRule = {
  id: 'tax',
  label: 'tax',
  amount: (machine) =>
    machine.taxPercent === 0
      ? null
      : {
          amount: percentOf(machine.price, machine.taxPercent),
          why: `${machine.taxPercent} % on the price`,
          from: 'stated',
        },
}
