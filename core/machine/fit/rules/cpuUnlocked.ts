import { partLabel } from '../../../parts/part'
import { byHand, cite, pairsOf, replace, type FitRule } from '../rule'

export const cpuUnlocked: FitRule = {
  id: 'cpu-unlocked',
  area: 'platform',
  severity: 'hints',
  question: 'Can the board overclock an unlocked CPU?',
  reads: [
    { role: 'cpu', facts: ['unlocked', 'socket'] },
    { role: 'motherboard', facts: ['overclocks'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'cpu', 'motherboard')
      .filter(([cpu, board]) => cpu.facts.unlocked === true && board.facts.overclocks === false)
      .map(([cpu, board]) => ({
        what: `${partLabel(cpu)} is unlocked but ${partLabel(board)} cannot overclock: you pay for a feature you cannot use`,
        why: [cite(cpu, 'unlocked'), cite(board, 'overclocks')],
        fixes: [
          byHand('ignore it: the CPU runs at its normal speed', 'none'),
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
