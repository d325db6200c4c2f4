import { partLabel } from '../../../parts/part'
import { byHand, cite, pairsOf, replace, type FitRule } from '../rule'

export const cpuUnlocked: FitRule = {
  id: 'cpu-unlocked',
  area: 'platform',
  severity: 'hints',
  question: 'Can the board use that the CPU is unlocked?',
  reads: [
    { role: 'cpu', facts: ['unlocked', 'socket'] },
    { role: 'motherboard', facts: ['overclocks'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'cpu', 'motherboard')
      .filter(([cpu, board]) => cpu.facts.unlocked === true && board.facts.overclocks === false)
      .map(([cpu, board]) => ({
        what: `${partLabel(cpu)} is unlocked, and ${partLabel(board)} cannot overclock: paid for and not used`,
        why: [cite(cpu, 'unlocked'), cite(board, 'overclocks')],
        fixes: [
          byHand('leave it: it runs at its own speed', 'none'),
          replace(
            'motherboard',
            'a board that overclocks',
            (part) => part.facts.socket === cpu.facts.socket && part.facts.overclocks === true,
          ),
          replace(
            'cpu',
            'a locked CPU',
            (part) =>
              part.facts.socket === cpu.facts.socket &&
              part.facts.unlocked === false &&
              (part.facts.cpuIndex ?? 0) >= 0.9 * (cpu.facts.cpuIndex ?? 0),
          ),
        ],
      })),
}
