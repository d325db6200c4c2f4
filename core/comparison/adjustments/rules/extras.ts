import type { StepRule } from '../adjustment'

export const extras: StepRule = {
  id: 'extras',
  label: 'wanted things it brings besides',
  amount: (machine) => {
    const worth = machine.extras.reduce((sum, extra) => sum + extra.worth, 0)
    return worth === 0
      ? null
      : { amount: 0 - worth, why: machine.extras.map((extra) => extra.label).join(', '), from: 'assumption' }
  },
}
