import { roundHalfAway } from '../../../money/decimal'
import type { StepRule } from '../adjustment'

export const hours: StepRule = {
  id: 'hours',
  label: 'your hours',
  amount: ({ hours: worked }, { perHour }) =>
    worked === 0 || perHour === 0
      ? null
      : {
          amount: roundHalfAway(worked * perHour),
          why: `${worked} hours at your hourly rate`,
          from: 'assumption',
        },
}
