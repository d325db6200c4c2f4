import type { StepRule } from '../adjustment'

export const extras: StepRule = {
  id: 'extras',
  label: 'extras you want that it includes',
  amount: (machine) => {
    const worth = machine.extras.reduce((sum, extra) => sum + extra.worth, 0)
    return worth === 0
      ? null
      : { amount: 0 - worth, why: machine.extras.map((extra) => extra.label).join(', '), from: 'assumption' }
  },
}
