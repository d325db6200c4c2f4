import { partLabel } from '../../../parts/part'
import { add, cite, pairsOf, replace, type FitRule } from '../rule'

export const cpuLeads: FitRule = {
  id: 'cpu-leads',
  area: 'connections',
  severity: 'stops',
  question: 'Has the supply the CPU leads that the board needs?',
  reads: [
    { role: 'motherboard', facts: ['cpuLeads'] },
    { role: 'supply', facts: ['cpuLeads'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'motherboard', 'supply')
      .filter(
        ([board, supply]) =>
          supply.facts.cpuLeads! +
            machine.all('extra').filter((part) => part.facts.feedsTo === 'cpu').length <
          board.facts.cpuLeads!,
      )
      .map(([board, supply]) => ({
        what: `${partLabel(board)} needs ${board.facts.cpuLeads} CPU leads; ${partLabel(supply)} has ${supply.facts.cpuLeads}`,
        why: [cite(board, 'cpuLeads'), cite(supply, 'cpuLeads')],
        fixes: [
          add('extra', 'an adapter to a CPU lead', (part) => part.facts.feedsTo === 'cpu', { limitW: 150 }),
          replace(
            'supply',
            `a supply with ${board.facts.cpuLeads} CPU leads`,
            (part) =>
              (part.facts.cpuLeads ?? 0) >= board.facts.cpuLeads! &&
              part.facts.supplyShape === supply.facts.supplyShape &&
              (part.facts.ratedW ?? 0) >= (supply.facts.ratedW ?? 0),
          ),
        ],
      })),
}
