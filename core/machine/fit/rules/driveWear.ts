import { partLabel } from '../../../parts/part'
import { byHand, cite, citeAll, replace, type FitRule } from '../rule'

/** From this share of the rated writes on it is worth a word, from the second it costs, percent. */
const worn = { hints: 50, costs: 80 } as const

export const driveWear: FitRule = {
  id: 'drive-wear',
  area: 'condition',
  severity: 'costs',
  question: 'Has the drive writes left?',
  reads: [{ role: 'storage', facts: ['wearPercent'] }],
  concerns: (machine) => machine.all('storage').some(({ facts }) => facts.wearPercent !== undefined),
  tellsUnknown: true,
  check: (machine) =>
    machine
      .all('storage')
      .filter(({ facts }) => (facts.wearPercent ?? 0) >= worn.hints)
      .map((drive) => ({
        what: `${partLabel(drive)} has used ${drive.facts.wearPercent} % of the writes it is rated for`,
        why: [
          cite(drive, 'wearPercent'),
          citeAll([drive], 'writes left', `${Math.max(0, 100 - drive.facts.wearPercent!)} %`),
        ] as const,
        severity: drive.facts.wearPercent! >= worn.costs ? ('costs' as const) : ('hints' as const),
        fixes: [
          byHand('keep nothing on it that is nowhere else', 'a copy a week'),
          replace(
            'storage',
            'a fresher drive',
            ({ facts }) =>
              facts.interface === drive.facts.interface &&
              (facts.wearPercent ?? 0) < worn.hints &&
              (facts.capacityGb ?? 0) >= (drive.facts.capacityGb ?? 0),
          ),
        ],
      })),
}
