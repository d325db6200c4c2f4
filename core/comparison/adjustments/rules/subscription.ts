import { roundHalfAway } from '../../../money/decimal'
import type { StepRule } from '../adjustment'

export const subscription: StepRule = {
  id: 'subscription',
  label: 'subscription',
  amount: ({ subscriptionPerYear }, { years }) =>
    subscriptionPerYear === 0
      ? null
      : {
          amount: roundHalfAway(subscriptionPerYear * years),
          why: `needed for the brief’s games, ${years} years`,
          from: 'stated',
        },
}
