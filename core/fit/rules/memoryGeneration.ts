import { partLabel } from '../../parts/part'
import type { FitRule } from '../rule'

export const memoryGeneration: FitRule = {
  id: 'memory-generation',
  question: 'Does the board take this generation of memory?',
  severity: 'stops',
  reads: [{ role: 'memory', facts: ['memoryGeneration'] }, { role: 'motherboard', facts: ['memoryGeneration'] }],
  clash(memory, board) {
    if (memory.facts.memoryGeneration === board.facts.memoryGeneration) return null
    return {
      what: `${partLabel(board)} takes ${board.facts.memoryGeneration}; ${partLabel(memory)} is ${memory.facts.memoryGeneration}: the notch sits elsewhere`,
      why: ['memoryGeneration', 'memoryGeneration'],
      mends: [
        { what: `take ${board.facts.memoryGeneration} memory`, leavesOpen: '' },
        { what: `take a board for ${memory.facts.memoryGeneration}`, leavesOpen: 'the CPU may need another socket' },
      ],
    }
  },
}
