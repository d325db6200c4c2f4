import { partLabel } from '../../../parts/part'
import { hasPlugs } from '../../power/cardFeeds'
import { cite, citeBrief, notTold, replace, type FitRule, type Outcome } from '../rule'

/** From here on a supply is old. */
export const oldFrom = 10

/** A supply of ten years and more, or known to have no mark: costs alone, needs another with a card that has plugs. */
export const supplyAge: FitRule = {
  id: 'supply-age',
  area: 'power',
  severity: 'costs',
  question: 'Is the PSU new enough and rated for efficiency?',
  reads: [{ role: 'supply', facts: ['year', 'efficiency'] }],
  tellsUnknown: true,
  concerns: (machine) => machine.all('supply').length > 0,
  check: (machine) =>
    machine.all('supply').flatMap((supply): Outcome[] => {
      const { year, efficiency } = supply.facts
      const isOld = year !== undefined && machine.brief.year - year >= oldFrom
      if (!isOld && efficiency !== 'none') return year === undefined ? [notTold(supply, 'year')] : []
      const withCard = machine.all('graphics').some(({ facts }) => hasPlugs(facts))
      return [
        {
          what:
            `${partLabel(supply)} ` +
            `${isOld ? `is ${machine.brief.year - year} years old` : 'has no 80 PLUS label'}${withCard ? ' and powers a card with its own connectors' : ''}`,
          why: [
            cite(supply, isOld ? 'year' : 'efficiency'),
            citeBrief('year of the build', String(machine.brief.year)),
          ] as const,
          ...(withCard ? { severity: 'needs' as const } : {}),
          fixes: [
            replace(
              'supply',
              'a newer PSU with an 80 PLUS label',
              (part) =>
                machine.brief.year - (part.facts.year ?? 0) < oldFrom &&
                part.facts.efficiency !== undefined &&
                part.facts.efficiency !== 'none' &&
                part.facts.supplyShape === supply.facts.supplyShape &&
                (part.facts.ratedW ?? 0) >= (supply.facts.ratedW ?? 0),
            ),
          ],
        },
      ]
    }),
}
