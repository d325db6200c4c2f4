import { partLabel, type Part } from '../../../parts/part'
import { compared } from '../../../parts/vocabularies'
import {
  byHand,
  cite,
  pairsOf,
  replace,
  type FitRule,
  notTold,
  type MachineRead,
  type Clash,
  type Outcome,
} from '../rule'

/** A CPU younger than its board's firmware does not start until the board is flashed. */
export const boardFirmware: FitRule = {
  id: 'board-firmware',
  area: 'platform',
  severity: 'needs',
  question: 'Does the firmware on the board know the CPU?',
  reads: [
    { role: 'cpu', facts: ['socket', 'firmwareNeeded'] },
    { role: 'motherboard', facts: ['socket'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'cpu', 'motherboard').flatMap(([cpu, board]): Outcome[] => {
      const needed = cpu.facts.firmwareNeeded!
      const { firmwareLevel, firmwareNewest } = board.facts
      if (compared(cpu.facts.socket!) !== compared(board.facts.socket!) || needed <= (firmwareLevel ?? -1))
        return []
      if (firmwareNewest !== undefined && needed > firmwareNewest) return [neverKnown(cpu, board)]
      // a board carries no firmware below the first
      if (firmwareLevel === undefined) return needed <= 1 ? [] : [notTold(board, 'firmwareLevel')]
      return [
        {
          what: `${partLabel(cpu)} needs firmware ${cpu.facts.firmwareNeeded}; ${partLabel(board)} comes with ${board.facts.firmwareLevel}`,
          why: [cite(cpu, 'firmwareNeeded'), cite(board, 'firmwareLevel')],
          ...(board.facts.flashWithoutCpu === false && !olderCpu(machine, cpu, board)
            ? { severity: 'stops' as const }
            : {}),
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
        },
      ]
    }),
}

/** Another CPU of the machine's that the board knows as it is, and can be flashed with. */
const olderCpu = (machine: MachineRead, cpu: Part, board: Part) =>
  machine
    .all('cpu')
    .some(
      (other) =>
        other.id !== cpu.id &&
        other.facts.socket === board.facts.socket &&
        (other.facts.firmwareNeeded ?? Infinity) <= (board.facts.firmwareLevel ?? -1),
    )

const neverKnown = (cpu: Part, board: Part): Clash => ({
  what: `${partLabel(cpu)} needs firmware ${cpu.facts.firmwareNeeded}; the newest for ${partLabel(board)} is ${board.facts.firmwareNewest}`,
  why: [cite(cpu, 'firmwareNeeded'), cite(board, 'firmwareNewest')],
  severity: 'stops',
  fixes: [
    replace(
      'motherboard',
      `a board with firmware ${cpu.facts.firmwareNeeded} or newer`,
      (part) =>
        part.facts.socket === cpu.facts.socket &&
        (part.facts.firmwareLevel ?? part.facts.firmwareNewest ?? -1) >= cpu.facts.firmwareNeeded!,
    ),
  ],
})
