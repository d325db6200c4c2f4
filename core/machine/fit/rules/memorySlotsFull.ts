import { memoryGbOf, modulesOf } from '../sums'
import { byHand, cite, citeAll, replace, type FitRule } from '../rule'

export const memorySlotsFull: FitRule = {
  id: 'memory-slots-full',
  area: 'platform',
  severity: 'hints',
  question: 'Is there a memory slot left to add to?',
  reads: [
    { role: 'memory', facts: ['kitCount', 'memoryGeneration', 'capacityGb'] },
    { role: 'motherboard', facts: ['memorySlots'] },
  ],
  check: (machine) =>
    machine
      .all('motherboard')
      .filter((board) => modulesOf(machine) === board.facts.memorySlots && memoryGbOf(machine) < 32)
      .map((board) => ({
        what: `Every slot is taken by ${memoryGbOf(machine)} GB: more memory later means another kit, and this one sold`,
        why: [
          citeAll(machine.all('memory'), 'modules', String(modulesOf(machine))),
          cite(board, 'memorySlots'),
        ],
        fixes: [
          byHand('leave it, and replace the kit some day', 'none', {
            leavesOpen: 'the kit’s price less what it then fetches',
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
