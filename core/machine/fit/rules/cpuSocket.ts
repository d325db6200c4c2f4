import { compared } from '../../../parts/vocabularies'
import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule } from '../rule'

export const cpuSocket: FitRule = {
  id: 'cpu-socket',
  area: 'platform',
  severity: 'stops',
  question: 'Does the CPU fit the board’s socket?',
  reads: [
    { role: 'cpu', facts: ['socket'] },
    { role: 'motherboard', facts: ['socket'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'cpu', 'motherboard')
      .filter(([cpu, board]) => compared(cpu.facts.socket!) !== compared(board.facts.socket!))
      .map(([cpu, board]) => ({
        what: `${partLabel(cpu)} does not fit ${partLabel(board)}: socket ${cpu.facts.socket} vs ${board.facts.socket}`,
        why: [cite(cpu, 'socket'), cite(board, 'socket')],
        fixes: [
          replace(
            'motherboard',
            `a board with socket ${cpu.facts.socket}`,
            (part) => part.facts.socket === cpu.facts.socket,
          ),
          replace(
            'cpu',
            `a CPU for socket ${board.facts.socket}`,
            (part) => part.facts.socket === board.facts.socket,
          ),
        ],
      })),
}
