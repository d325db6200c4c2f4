import { partLabel } from '../../../parts/part'
import { byHand, cite, pairsOf, replace, type FitRule } from '../rule'

export const boardFeedsCpu: FitRule = {
  id: 'board-feeds-cpu',
  area: 'platform',
  severity: 'costs',
  question: 'Can the board feed the CPU at its limit for long?',
  reads: [
    { role: 'cpu', facts: ['limitW', 'socket'] },
    { role: 'motherboard', facts: ['limitW'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'cpu', 'motherboard')
      .filter(([cpu, board]) => cpu.facts.limitW! > board.facts.limitW!)
      .map(([cpu, board]) => ({
        what: `${partLabel(cpu)} takes ${cpu.facts.limitW} W for long; ${partLabel(board)} feeds ${board.facts.limitW} W and slows it`,
        why: [cite(cpu, 'limitW'), cite(board, 'limitW')],
        fixes: [
          byHand(`limit the CPU to ${board.facts.limitW} W`, 'one setting in the firmware', {
            limitW: board.facts.limitW!,
            leavesOpen: 'slower at full load',
          }),
          replace(
            'motherboard',
            `a board that feeds ${cpu.facts.limitW} W`,
            (part) => part.facts.socket === cpu.facts.socket && (part.facts.limitW ?? 0) >= cpu.facts.limitW!,
          ),
        ],
      })),
}
