import type { StepRule } from '../adjustment'

export const shipping: StepRule = {
  id: 'shipping',
  label: 'delivery',
  amount: (machine, terms) => {
    if (machine.shipping === null)
      return {
        amount: terms.usualShipping,
        why: 'its seller does not say; the usual delivery counts against it',
        from: 'assumption',
      }
    return machine.shipping === 0
      ? null
      : { amount: machine.shipping, why: 'delivery to the counter', from: 'stated' }
  },
}
