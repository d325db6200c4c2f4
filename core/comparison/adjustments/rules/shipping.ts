import type { StepRule } from '../adjustment'

export const shipping: StepRule = {
  id: 'shipping',
  label: 'delivery',
  amount: (machine, terms) => {
    if (machine.shipping === null)
      return {
        amount: terms.usualShipping,
        why: 'delivery not stated; the usual cost is assumed',
        from: 'assumption',
      }
    return machine.shipping === 0 ? null : { amount: machine.shipping, why: 'shipping', from: 'stated' }
  },
}
