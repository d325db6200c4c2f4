import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule } from '../rule'

export const m2Kind: FitRule = {
  id: 'm2-kind',
  area: 'connections',
  severity: 'stops',
  question: 'Do the M.2 slots speak NVMe?',
  reads: [
    { role: 'storage', facts: ['interface'] },
    { role: 'motherboard', facts: ['m2Nvme', 'socket'] },
  ],
  concerns: (machine) =>
    machine.all('storage').some((drive) => drive.facts.interface === 'nvme') &&
    machine.all('motherboard').some((board) => board.facts.m2Slots !== 0),
  check: (machine) =>
    pairsOf(machine, 'storage', 'motherboard')
      .filter(([drive, board]) => drive.facts.interface === 'nvme' && board.facts.m2Nvme === false)
      .map(([drive, board]) => ({
        what: `The M.2 slot of ${partLabel(board)} is for SATA drives; ${partLabel(drive)} is NVMe and is not seen`,
        why: [cite(drive, 'interface'), cite(board, 'm2Nvme')],
        fixes: [
          replace(
            'storage',
            'a SATA drive',
            (part) =>
              part.facts.interface === 'sata' &&
              part.facts.drive === 'ssd' &&
              (part.facts.capacityGb ?? 0) >= (drive.facts.capacityGb ?? 0),
          ),
          replace(
            'motherboard',
            'a board whose M.2 takes NVMe',
            (part) =>
              part.facts.socket === board.facts.socket &&
              part.facts.m2Nvme === true &&
              (part.facts.m2Slots ?? 0) > 0,
          ),
        ],
      })),
}
