import { memoryGbOf, modulesOf } from '../sums'
import { byHand, cite, citeAll, replace, type FitRule } from '../rule'

export const memorySlotsFull: FitRule = {
  id: 'memory-slots-full',
  area: 'platform',
  severity: 'hints',
  question: 'Is a memory slot left for an upgrade?',
  reads: [
    { role: 'memory', facts: ['kitCount', 'memoryGeneration', 'capacityGb'] },
    { role: 'motherboard', facts: ['memorySlots'] },
  ],
  check: (machine) =>
    machine
      .all('motherboard')
      .filter((board) => modulesOf(machine) === board.facts.memorySlots && memoryGbOf(machine) < 32)
      .map((board) => ({
        what: `All slots are used by ${memoryGbOf(machine)} GB: more memory later means replacing this kit`,
        why: [
          citeAll(machine.all('memory'), 'modules', String(modulesOf(machine))),
          cite(board, 'memorySlots'),
        ],
        fixes: [
          byHand('accept it, and replace the kit later', 'none', {
            leavesOpen: 'price of a new kit minus the resale of this one',
          }),
          replace(
            'motherboard',
            `a board with more than ${board.facts.memorySlots} slots`,
            (part) =>
              part.facts.socket === board.facts.socket &&
              part.facts.memoryGeneration === board.facts.memoryGeneration &&
              (part.facts.memorySlots ?? 0) > board.facts.memorySlots!,
          ),
        ],
      })),
}
