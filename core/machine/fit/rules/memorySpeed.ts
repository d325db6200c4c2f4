import { partLabel } from '../../../parts/part'
import { byHand, cite, pairsOf, type FitRule } from '../rule'

export const memorySpeed: FitRule = {
  id: 'memory-speed',
  area: 'platform',
  severity: 'hints',
  question: 'Does the board run the memory at full speed?',
  reads: [
    { role: 'memory', facts: ['speedMts'] },
    { role: 'motherboard', facts: ['maxMemoryMts'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'memory', 'motherboard')
      .filter(([memory, board]) => memory.facts.speedMts! > board.facts.maxMemoryMts!)
      .map(([memory, board]) => ({
        what: `${partLabel(memory)} runs at ${board.facts.maxMemoryMts} MT/s on this board instead of ${memory.facts.speedMts}`,
        why: [cite(memory, 'speedMts'), cite(board, 'maxMemoryMts')],
        fixes: [byHand('accept it: slower memory of the same size costs no less', 'none')],
      })),
}
