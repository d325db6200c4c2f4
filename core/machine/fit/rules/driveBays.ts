import { partLabel } from '../../../parts/part'
import { cite, citeAll, replace, type FitRule } from '../rule'
import { largeDrives } from '../sums'

export const driveBays: FitRule = {
  id: 'drive-bays',
  area: 'space',
  severity: 'stops',
  question: 'Is there a bay for every 3.5-inch drive?',
  reads: [
    { role: 'storage', facts: ['drive'] },
    { role: 'case', facts: ['bays35'] },
  ],
  concerns: (machine) => machine.all('storage').some(({ facts }) => facts.drive !== 'ssd'),
  check: (machine) =>
    machine
      .all('case')
      .filter((chassis) => largeDrives(machine).length > chassis.facts.bays35!)
      .map((chassis) => ({
        what: `${largeDrives(machine).length} 3.5-inch drives, ${chassis.facts.bays35} bays in ${partLabel(chassis)}`,
        why: [
          citeAll(largeDrives(machine), '3.5-inch drives', String(largeDrives(machine).length)),
          cite(chassis, 'bays35'),
        ],
        fixes: [
          replace(
            'case',
            `a case with ${largeDrives(machine).length} bays`,
            (part) => (part.facts.bays35 ?? 0) >= largeDrives(machine).length,
          ),
          replace('storage', 'an SSD', (part) => part.facts.drive === 'ssd'),
        ],
      })),
}
