import { partLabel } from '../../parts/part'
import type { FitRule } from '../rule'

export const cpuSocket: FitRule = {
  id: 'cpu-socket',
  question: 'Does the CPU fit the board\'s socket?',
  severity: 'stops',
  reads: [{ role: 'cpu', facts: ['socket'] }, { role: 'motherboard', facts: ['socket'] }],
  clash(cpu, board) {
    if (cpu.facts.socket === board.facts.socket) return null
    return {
      what: `${partLabel(cpu)} does not go into ${partLabel(board)}: socket ${cpu.facts.socket} against ${board.facts.socket}`,
      why: ['socket', 'socket'],
      mends: [
        { what: `take a board with socket ${cpu.facts.socket}`, leavesOpen: 'its memory generation may differ' },
        { what: `take a CPU for socket ${board.facts.socket}`, leavesOpen: '' },
      ],
    }
  },
}
