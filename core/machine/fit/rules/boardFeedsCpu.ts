import { partLabel } from '../../../parts/part'
import { byHand, cite, pairsOf, replace, type FitRule } from '../rule'

export const boardFeedsCpu: FitRule = {
  id: 'board-feeds-cpu',
  area: 'platform',
  severity: 'costs',
  question: 'Can the board’s VRM sustain the CPU’s power limit?',
  reads: [
    { role: 'cpu', facts: ['limitW', 'socket'] },
    { role: 'motherboard', facts: ['limitW'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'cpu', 'motherboard')
      .filter(([cpu, board]) => cpu.facts.limitW! > board.facts.limitW!)
      .map(([cpu, board]) => ({
        what:
          `${partLabel(cpu)} draws ${cpu.facts.limitW} W sustained; ${partLabel(board)} ` +
          `delivers ${board.facts.limitW} W and throttles it`,
        why: [cite(cpu, 'limitW'), cite(board, 'limitW')],
        fixes: [
          byHand(`set the CPU power limit to ${board.facts.limitW} W`, 'one BIOS setting', {
            limitW: board.facts.limitW!,
            leavesOpen: 'slower at full load',
          }),
          replace(
            'motherboard',
            `a board that delivers ${cpu.facts.limitW} W`,
            (part) => part.facts.socket === cpu.facts.socket && (part.facts.limitW ?? 0) >= cpu.facts.limitW!,
          ),
        ],
      })),
}
