import type { StepRule } from '../adjustment'

export const price: StepRule = {
  id: 'price',
  label: 'price',
  amount: (machine) => ({
    amount: machine.price,
    why:
      machine.kind === 'build'
        ? 'its parts, tax and shipping included'
        : machine.kind === 'own'
          ? 'what it would fetch today'
          : 'as its seller asks',
    from: machine.kind === 'build' ? 'record' : 'stated',
  }),
}
