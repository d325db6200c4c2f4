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
  question: 'Does the board’s BIOS support the CPU?',
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
          what: `${partLabel(cpu)} needs BIOS ${cpu.facts.firmwareNeeded}; ${partLabel(board)} has ${board.facts.firmwareLevel}`,
          why: [cite(cpu, 'firmwareNeeded'), cite(board, 'firmwareLevel')],
          ...(board.facts.flashWithoutCpu === false && !olderCpu(machine, cpu, board)
            ? { severity: 'stops' as const }
            : {}),
          fixes: [
            ...(board.facts.flashWithoutCpu
              ? [
                  byHand('update the BIOS without a CPU', 'a USB stick with the newest BIOS, ten minutes', {
                    leavesOpen: 'a failed update can brick the board',
                  }),
                ]
              : [
                  byHand(
                    'update the BIOS with an older CPU',
                    `borrow a supported socket ${board.facts.socket} CPU, or use one from your shelf`,
                    { leavesOpen: 'you need to find an older CPU' },
                  ),
                ]),
            replace(
              'motherboard',
              `a board with BIOS ${cpu.facts.firmwareNeeded} or newer`,
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
  what:
    `${partLabel(cpu)} needs BIOS ${cpu.facts.firmwareNeeded}; the newest for ` +
    `${partLabel(board)} is ${board.facts.firmwareNewest}`,
  why: [cite(cpu, 'firmwareNeeded'), cite(board, 'firmwareNewest')],
  severity: 'stops',
  fixes: [
    replace(
      'motherboard',
      `a board with BIOS ${cpu.facts.firmwareNeeded} or newer`,
      (part) =>
        part.facts.socket === cpu.facts.socket &&
        (part.facts.firmwareLevel ?? part.facts.firmwareNewest ?? -1) >= cpu.facts.firmwareNeeded!,
    ),
  ],
})
