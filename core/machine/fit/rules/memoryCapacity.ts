import { memoryGbOf } from '../sums'
import { partLabel } from '../../../parts/part'
import { cite, citeAll, replace, type FitRule } from '../rule'

export const memoryCapacity: FitRule = {
  id: 'memory-capacity',
  area: 'platform',
  severity: 'stops',
  question: 'Does the board take so much memory?',
  reads: [
    { role: 'memory', facts: ['capacityGb'] },
    { role: 'motherboard', facts: ['maxMemoryGb'] },
  ],
  check: (machine) =>
    machine
      .all('motherboard')
      .filter((board) => memoryGbOf(machine) > board.facts.maxMemoryGb!)
      .map((board) => ({
        what: `${memoryGbOf(machine)} GB is more than the ${board.facts.maxMemoryGb} GB that ${partLabel(board)} takes`,
        why: [
          citeAll(machine.all('memory'), 'capacity', `${memoryGbOf(machine)} GB`),
          cite(board, 'maxMemoryGb'),
        ],
        fixes: [
          replace(
            'memory',
            `${board.facts.maxMemoryGb} GB at most`,
            (part) =>
              part.facts.memoryGeneration === board.facts.memoryGeneration &&
              part.facts.module !== 'laptop' &&
              (part.facts.capacityGb ?? Infinity) <= board.facts.maxMemoryGb!,
          ),
        ],
      })),
}
