import { cite, citeBrief, replace, add, type FitRule } from '../rule'

export const smallestDrive: FitRule = {
  id: 'smallest-drive',
  area: 'rules',
  severity: 'costs',
  question: 'Does the largest drive meet your minimum size?',
  reads: [{ role: 'storage', facts: ['capacityGb', 'interface'] }],
  concerns: (machine) => machine.brief.smallestDriveGb !== null,
  check(machine) {
    const largest = [...machine.all('storage')].sort((a, b) => b.facts.capacityGb! - a.facts.capacityGb!)[0]
    const wanted = machine.brief.smallestDriveGb!
    if (!largest || largest.facts.capacityGb! >= wanted) return []
    const fits = (capacityGb?: number) => (capacityGb ?? 0) >= wanted
    return [
      {
        what: `The largest drive is ${largest.facts.capacityGb} GB; your rule asks for ${wanted} GB`,
        why: [cite(largest, 'capacityGb'), citeBrief('minimum drive size', `${wanted} GB`)],
        fixes: [
          replace(
            'storage',
            `a ${wanted} GB drive`,
            (part) =>
              fits(part.facts.capacityGb) &&
              part.facts.interface === largest.facts.interface &&
              part.facts.drive === 'ssd',
          ),
          add('storage', `a second drive of ${wanted} GB`, (part) => fits(part.facts.capacityGb)),
        ],
      },
    ]
  },
}
