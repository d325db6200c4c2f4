import { partLabel } from '../../../parts/part'
import { cite, citeAll, replace, type FitRule } from '../rule'
import { nvmeDrives } from '../sums'

export const m2Slots: FitRule = {
  id: 'm2-slots',
  area: 'connections',
  severity: 'stops',
  question: 'Is there an M.2 slot for every NVMe drive?',
  reads: [
    { role: 'storage', facts: ['interface'] },
    { role: 'motherboard', facts: ['m2Slots', 'socket'] },
  ],
  check: (machine) =>
    machine
      .all('motherboard')
      .filter((board) => nvmeDrives(machine).length > board.facts.m2Slots!)
      .map((board) => ({
        what: `${nvmeDrives(machine).length} NVMe ${nvmeDrives(machine).length === 1 ? 'drive' : 'drives'} for ${board.facts.m2Slots} M.2 slots on ${partLabel(board)}`,
        why: [
          citeAll(nvmeDrives(machine), 'NVMe drives', String(nvmeDrives(machine).length)),
          cite(board, 'm2Slots'),
        ],
        fixes: [
          replace(
            'storage',
            'a SATA drive',
            (part) =>
              part.facts.interface === 'sata' &&
              part.facts.drive === 'ssd' &&
              (part.facts.capacityGb ?? 0) >=
                Math.max(...nvmeDrives(machine).map((drive) => drive.facts.capacityGb ?? 0)),
          ),
          replace(
            'motherboard',
            `a board with ${nvmeDrives(machine).length} M.2 slots`,
            (part) =>
              part.facts.socket === board.facts.socket &&
              part.facts.memoryGeneration === board.facts.memoryGeneration &&
              (part.facts.m2Slots ?? 0) >= nvmeDrives(machine).length,
          ),
        ],
      })),
}
