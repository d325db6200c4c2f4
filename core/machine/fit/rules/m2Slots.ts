import { partLabel } from '../../../parts/part'
import { add, cite, citeAll, replace, type FitRule, type MachineRead } from '../rule'
import { m2Drives } from '../sums'

export const m2Slots: FitRule = {
  id: 'm2-slots',
  area: 'connections',
  severity: 'stops',
  question: 'Is there an M.2 slot for every M.2 drive?',
  reads: [
    { role: 'storage', facts: ['interface'] },
    { role: 'motherboard', facts: ['m2Slots', 'socket'] },
  ],
  check: (machine) =>
    machine
      .all('motherboard')
      .filter((board) => m2Drives(machine).length > board.facts.m2Slots! + carriers(machine))
      .map((board) => ({
        what:
          `${m2Drives(machine).length} M.2 ` +
          `${m2Drives(machine).length === 1 ? 'drive' : 'drives'}, ${board.facts.m2Slots} M.2 ` +
          `slots on ${partLabel(board)}`,
        why: [
          citeAll(m2Drives(machine), 'M.2 drives', String(m2Drives(machine).length)),
          cite(board, 'm2Slots'),
        ],
        fixes: [
          add('extra', 'an M.2 adapter card for a PCIe slot', (part) => part.facts.fixes === 'carrier', {
            leavesOpen: 'old boards cannot boot from it',
          }),
          replace(
            'storage',
            'a SATA drive',
            (part) =>
              part.facts.interface === 'sata' &&
              part.facts.drive === 'ssd' &&
              (part.facts.capacityGb ?? 0) >=
                Math.max(...m2Drives(machine).map((drive) => drive.facts.capacityGb ?? 0)),
          ),
          replace(
            'motherboard',
            `a board with ${m2Drives(machine).length} M.2 slots`,
            (part) =>
              part.facts.socket === board.facts.socket &&
              part.facts.memoryGeneration === board.facts.memoryGeneration &&
              (part.facts.m2Slots ?? 0) >= m2Drives(machine).length,
          ),
        ],
      })),
}

/** Cards that carry an M.2 drive in a slot for cards. */
const carriers = (machine: MachineRead) =>
  machine.all('extra').filter(({ facts }) => facts.fixes === 'carrier').length
