import { partLabel } from '../../../parts/part'
import { byHand, cite, pairsOf, replace, type FitRule } from '../rule'

/** A CPU younger than its board's firmware does not start until the board is flashed. */
export const boardFirmware: FitRule = {
  id: 'board-firmware',
  area: 'platform',
  severity: 'needs',
  question: 'Does the firmware on the board know the CPU?',
  reads: [
    { role: 'cpu', facts: ['socket', 'firmwareNeeded'] },
    { role: 'motherboard', facts: ['socket', 'firmwareLevel'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'cpu', 'motherboard')
      .filter(
        ([cpu, board]) =>
          cpu.facts.socket === board.facts.socket && cpu.facts.firmwareNeeded! > board.facts.firmwareLevel!,
      )
      .map(([cpu, board]) => ({
        what: `${partLabel(cpu)} needs firmware ${cpu.facts.firmwareNeeded}; ${partLabel(board)} comes with ${board.facts.firmwareLevel}`,
        why: [cite(cpu, 'firmwareNeeded'), cite(board, 'firmwareLevel')],
        ...(board.facts.flashWithoutCpu === false ? { severity: 'stops' as const } : {}),
        fixes: [
          ...(board.facts.flashWithoutCpu
            ? [
                byHand('flash the board without a CPU', 'a stick with the newest firmware, ten minutes', {
                  leavesOpen: 'a flash that fails leaves a dead board',
                }),
              ]
            : [
                byHand(
                  'flash it with an older CPU',
                  `borrow or take from the shelf a CPU of socket ${board.facts.socket} that it knows`,
                  { leavesOpen: 'the older CPU has to be found' },
                ),
              ]),
          replace(
            'motherboard',
            `a board with firmware ${cpu.facts.firmwareNeeded} or newer`,
            (part) =>
              part.facts.socket === cpu.facts.socket &&
              (part.facts.firmwareLevel ?? -1) >= cpu.facts.firmwareNeeded!,
          ),
          replace(
            'cpu',
            `an older CPU for socket ${board.facts.socket}`,
            (part) =>
              part.facts.socket === board.facts.socket &&
              (part.facts.firmwareNeeded ?? 0) <= board.facts.firmwareLevel!,
          ),
        ],
      })),
}
