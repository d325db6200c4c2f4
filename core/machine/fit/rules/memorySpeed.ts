import { partLabel } from '../../../parts/part'
import { byHand, cite, pairsOf, type FitRule } from '../rule'

export const memorySpeed: FitRule = {
  id: 'memory-speed',
  area: 'platform',
  severity: 'hints',
  question: 'Does the board run the memory at its speed?',
  reads: [
    { role: 'memory', facts: ['speedMts'] },
    { role: 'motherboard', facts: ['maxMemoryMts'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'memory', 'motherboard')
      .filter(([memory, board]) => memory.facts.speedMts! > board.facts.maxMemoryMts!)
      .map(([memory, board]) => ({
        what: `${partLabel(memory)} runs at ${board.facts.maxMemoryMts} MT/s here, not at ${memory.facts.speedMts}`,
        why: [cite(memory, 'speedMts'), cite(board, 'maxMemoryMts')],
        fixes: [byHand('leave it: slower memory of the same size is no cheaper', 'none')],
      })),
}
