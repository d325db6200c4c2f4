import { memoryGbOf } from '../sums'
import { partLabel, type Part } from '../../../parts/part'
import { cite, citeAll, replace, type FitRule, type MachineRead } from '../rule'

export const memoryCapacity: FitRule = {
  id: 'memory-capacity',
  area: 'platform',
  severity: 'stops',
  question: 'Does the board support this much memory?',
  reads: [
    { role: 'memory', facts: ['capacityGb'] },
    { role: 'motherboard', facts: ['maxMemoryGb'] },
  ],
  check: (machine) =>
    machine
      .all('motherboard')
      .filter(
        (board) =>
          memoryGbOf(machine) > board.facts.maxMemoryGb! || largestModule(machine) > mostAModule(board),
      )
      .map((board) => ({
        what:
          memoryGbOf(machine) > board.facts.maxMemoryGb!
            ? `${memoryGbOf(machine)} GB is more than the ${board.facts.maxMemoryGb} GB ${partLabel(board)} supports`
            : `A ${largestModule(machine)} GB module is more than the ${mostAModule(board)} GB per ` +
              `slot ${partLabel(board)} supports`,
        why: [
          citeAll(machine.all('memory'), 'capacity', `${memoryGbOf(machine)} GB`),
          cite(board, 'maxMemoryGb'),
        ],
        fixes: [
          replace(
            'memory',
            `at most ${board.facts.maxMemoryGb} GB`,
            (part) =>
              part.facts.memoryGeneration === board.facts.memoryGeneration &&
              part.facts.module !== 'laptop' &&
              (part.facts.capacityGb ?? Infinity) <= board.facts.maxMemoryGb!,
          ),
        ],
      })),
}

/** GB of the largest single module; 0 where no kit states how many it has. */
const largestModule = (machine: MachineRead) =>
  Math.max(
    0,
    ...machine
      .all('memory')
      .map(({ facts }) => (facts.kitCount === undefined ? 0 : (facts.capacityGb ?? 0) / facts.kitCount)),
  )

/** What a slot takes, GB: as stated, else the board's most over its slots. */
const mostAModule = ({ facts }: Part) =>
  facts.maxModuleGb ?? (facts.memorySlots ? facts.maxMemoryGb! / facts.memorySlots : Infinity)
