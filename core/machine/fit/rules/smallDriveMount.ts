import { partLabel } from '../../../parts/part'
import { add, byHand, cite, citeAll, type FitRule } from '../rule'
import { largeDrives, cabledDrives } from '../sums'

export const smallDriveMount: FitRule = {
  id: 'small-drive-mount',
  area: 'space',
  severity: 'needs',
  question: 'Is there a mount for every 2.5-inch drive?',
  reads: [
    { role: 'storage', facts: ['drive', 'interface'] },
    { role: 'case', facts: ['bays25', 'bays35'] },
  ],
  concerns: (machine) =>
    machine.all('storage').some(({ facts }) => facts.drive !== 'hdd' && facts.interface !== 'nvme'),
  check: (machine) =>
    machine.all('case').flatMap((chassis) => {
      const small = cabledDrives(machine).filter((drive) => drive.facts.drive === 'ssd')
      const places =
        chassis.facts.bays25! +
        (machine.extra((facts) => facts.fixes === 'bay')
          ? Math.max(0, chassis.facts.bays35! - largeDrives(machine).length)
          : 0)
      if (small.length <= places) return []
      return [
        {
          what: `${small.length} 2.5-inch drives, ${chassis.facts.bays25} mounts in ${partLabel(chassis)}`,
          why: [citeAll(small, '2.5-inch drives', String(small.length)), cite(chassis, 'bays25')] as const,
          fixes: [
            add('extra', 'a 3.5-inch bay adapter', (part) => part.facts.fixes === 'bay'),
            byHand('tape it behind the board', 'strong tape; an SSD has no moving parts'),
          ],
        },
      ]
    }),
}
