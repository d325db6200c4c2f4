import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule } from '../rule'

export const memoryModule: FitRule = {
  id: 'memory-module',
  area: 'platform',
  severity: 'stops',
  question: 'Are the modules of the kind the board takes?',
  reads: [
    { role: 'memory', facts: ['module'] },
    { role: 'motherboard', facts: ['module'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'memory', 'motherboard')
      .filter(([memory, board]) => memory.facts.module !== board.facts.module)
      .map(([memory, board]) => ({
        what: `${partLabel(memory)} is ${memory.facts.module} memory; ${partLabel(board)} takes ${board.facts.module} modules`,
        why: [cite(memory, 'module'), cite(board, 'module')],
        fixes: [
          replace(
            'memory',
            `${board.facts.module} modules`,
            (part) =>
              part.facts.module === board.facts.module &&
              part.facts.memoryGeneration === board.facts.memoryGeneration,
          ),
        ],
      })),
}
