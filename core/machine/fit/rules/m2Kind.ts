import { partLabel, type Part } from '../../../parts/part'
import { cite, notTold, replace, type FitRule, type Clash, type Outcome } from '../rule'
import { m2Drives } from '../sums'

export const m2Kind: FitRule = {
  id: 'm2-kind',
  area: 'connections',
  severity: 'stops',
  question: 'Do the M.2 slots support the drives’ interface?',
  reads: [
    { role: 'storage', facts: ['interface', 'driveShape'] },
    { role: 'motherboard', facts: ['m2Nvme', 'm2Sata'] },
  ],
  tellsUnknown: true,
  concerns: (machine) =>
    m2Drives(machine).length > 0 && machine.all('motherboard').some((board) => board.facts.m2Slots !== 0),
  check: (machine) =>
    machine.all('motherboard').flatMap((board) =>
      m2Drives(machine).flatMap((drive): Outcome[] => {
        const speaks = drive.facts.interface
        if (speaks === undefined) return [notTold(drive, 'interface')]
        if (speaks === 'nvme' && machine.extra((facts) => facts.fixes === 'carrier')) return []
        const fact = speaks === 'nvme' ? ('m2Nvme' as const) : ('m2Sata' as const)
        if (board.facts[fact] === undefined) return [notTold(board, fact)]
        return board.facts[fact] ? [] : [speaks === 'nvme' ? sataOnly(drive, board) : nvmeOnly(drive, board)]
      }),
    ),
}

const nvmeOnly = (drive: Part, board: Part): Clash => ({
  what: `${partLabel(drive)} is SATA; the M.2 slots of ${partLabel(board)} are NVMe only, so it is not detected`,
  why: [cite(drive, 'interface'), cite(board, 'm2Sata')],
  fixes: [
    replace(
      'storage',
      'an NVMe drive',
      (part) =>
        part.facts.interface === 'nvme' && (part.facts.capacityGb ?? 0) >= (drive.facts.capacityGb ?? 0),
    ),
  ],
})

const sataOnly = (drive: Part, board: Part): Clash => ({
  what: `${partLabel(drive)} is NVMe; the M.2 slot of ${partLabel(board)} is SATA only, so it is not detected`,
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
      'a board with NVMe M.2',
      (part) =>
        part.facts.socket === board.facts.socket &&
        part.facts.m2Nvme === true &&
        (part.facts.m2Slots ?? 0) > 0,
    ),
  ],
})
