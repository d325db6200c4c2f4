import { needNames, needs, type Need } from '../../../parts/part'
import type { WeighedMachine } from '../../weighedMachine'
import type { StepRule } from '../adjustment'

function lacking(need: Need): StepRule {
  return {
    id: need,
    label: needNames[need],
    amount: (machine, { needPrices }) => {
      const price = needPrices[need]
      return price === undefined || machine.brings.includes(need) || isBuiltIn(need, machine)
        ? null
        : {
            amount: price,
            why: `the brief needs it; ${machine.name} does not include it`,
            from: 'assumption',
          }
    },
  }
}

/** A console runs on what it comes with. */
const isBuiltIn = (need: Need, { kind }: Pick<WeighedMachine, 'kind'>) =>
  kind === 'console' && need === 'licence'

/** One step for each thing of the brief's list: the same list for every machine. */
export const lackingNeeds: readonly StepRule[] = needs.map(lacking)
