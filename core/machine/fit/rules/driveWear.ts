import { partLabel } from '../../../parts/part'
import { byHand, cite, citeAll, replace, type FitRule } from '../rule'

/** From this share of the rated writes on it is worth a word, from the second it costs, percent. */
const worn = { hints: 50, costs: 80 } as const

export const driveWear: FitRule = {
  id: 'drive-wear',
  area: 'condition',
  severity: 'costs',
  question: 'Does the drive have enough write endurance left?',
  reads: [{ role: 'storage', facts: ['wearPercent'] }],
  concerns: (machine) => machine.all('storage').some(({ facts }) => facts.wearPercent !== undefined),
  tellsUnknown: true,
  check: (machine) =>
    machine
      .all('storage')
      .filter(({ facts }) => (facts.wearPercent ?? 0) >= worn.hints)
      .map((drive) => ({
        what: `${partLabel(drive)} has used ${drive.facts.wearPercent} % of its rated writes`,
        why: [
          cite(drive, 'wearPercent'),
          citeAll([drive], 'writes left', `${Math.max(0, 100 - drive.facts.wearPercent!)} %`),
        ] as const,
        severity: drive.facts.wearPercent! >= worn.costs ? ('costs' as const) : ('hints' as const),
        fixes: [
          byHand('keep only files on it that exist elsewhere', 'one backup a week'),
          replace(
            'storage',
            'a less worn drive',
            ({ facts }) =>
              facts.interface === drive.facts.interface &&
              (facts.wearPercent ?? 0) < worn.hints &&
              (facts.capacityGb ?? 0) >= (drive.facts.capacityGb ?? 0),
          ),
        ],
      })),
}
