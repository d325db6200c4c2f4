import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule } from '../rule'

export const memoryGeneration: FitRule = {
  id: 'memory-generation',
  area: 'platform',
  severity: 'stops',
  question: 'Does the board support this memory generation?',
  reads: [
    { role: 'memory', facts: ['memoryGeneration'] },
    { role: 'motherboard', facts: ['memoryGeneration'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'memory', 'motherboard')
      .filter(([memory, board]) => memory.facts.memoryGeneration !== board.facts.memoryGeneration)
      .map(([memory, board]) => ({
        what:
          `${partLabel(memory)} is ${memory.facts.memoryGeneration}; ${partLabel(board)} takes ` +
          `${board.facts.memoryGeneration}: the notch is in a different place`,
        why: [cite(memory, 'memoryGeneration'), cite(board, 'memoryGeneration')],
        fixes: [
          replace(
            'memory',
            `${board.facts.memoryGeneration} memory`,
            (part) =>
              part.facts.memoryGeneration === board.facts.memoryGeneration &&
              part.facts.module !== 'laptop' &&
              (part.facts.capacityGb ?? 0) >= (memory.facts.capacityGb ?? 0),
          ),
          replace(
            'motherboard',
            `a board for ${memory.facts.memoryGeneration}`,
            (part) =>
              part.facts.memoryGeneration === memory.facts.memoryGeneration &&
              part.facts.socket === board.facts.socket,
          ),
        ],
      })),
}
