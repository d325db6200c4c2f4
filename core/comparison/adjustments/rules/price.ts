import type { StepRule } from '../adjustment'

export const price: StepRule = {
  id: 'price',
  label: 'price',
  amount: (machine) => ({
    amount: machine.price,
    why:
      machine.kind === 'build'
        ? 'its parts with tax and shipping'
        : machine.kind === 'own'
          ? 'what it would sell for today'
          : 'asking price',
    from: machine.kind === 'build' ? 'record' : 'stated',
  }),
}
