import { partLabel } from '../../../parts/part'
import { cite, citeAll, notTold, replace, type FitRule, type Outcome } from '../rule'
import { oldFrom } from './supplyAge'

/** CPU and cards live from 12 V: the label of an old or unmarked supply promises watts that its 12 V rails do not have. */
export const supplyTwelve: FitRule = {
  id: 'supply-twelve',
  area: 'power',
  severity: 'stops',
  question: 'Is the PSU’s 12 V rating enough for CPU and cards?',
  reads: [
    { role: 'supply', facts: ['twelveVoltW', 'year', 'efficiency'] },
    { role: 'cpu', facts: ['limitW'] },
  ],
  tellsUnknown: true,
  concerns: (machine) => machine.all('supply').length > 0 && machine.all('cpu').length > 0,
  check: (machine) =>
    machine.all('supply').flatMap((supply): Outcome[] => {
      const { twelveVoltW, year, efficiency } = supply.facts
      const eaters = [...machine.all('cpu'), ...machine.all('graphics')]
      const load = eaters.reduce((sum, { facts }) => sum + (facts.limitW ?? 0) + (facts.boardPowerW ?? 0), 0)
      if (twelveVoltW === undefined) {
        const isDoubtful =
          efficiency === 'none' || (year !== undefined && machine.brief.year - year >= oldFrom)
        return isDoubtful ? [notTold(supply, 'twelveVoltW')] : []
      }
      if (load <= twelveVoltW) return []
      return [
        {
          what: `CPU and cards draw ${Math.round(load)} W from 12 V; ${partLabel(supply)} is rated for ${twelveVoltW} W at 12 V`,
          why: [cite(supply, 'twelveVoltW'), citeAll(eaters, '12 V load', `${Math.round(load)} W`)] as const,
          fixes: [
            replace(
              'supply',
              `a PSU with ${Math.ceil(load)} W at 12 V`,
              (part) =>
                (part.facts.twelveVoltW ?? 0) >= load && part.facts.supplyShape === supply.facts.supplyShape,
            ),
          ],
        },
      ]
    }),
}
