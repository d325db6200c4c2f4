import { partLabel } from '../../../parts/part'
import { add, byHand, cite, citeAll, type FitRule } from '../rule'

export const panelMissing: FitRule = {
  id: 'panel-missing',
  area: 'condition',
  severity: 'needs',
  question: 'Are all case panels included?',
  reads: [{ role: 'case', facts: ['panelMissing'] }],
  check: (machine) =>
    machine
      .all('case')
      .filter(
        (chassis) =>
          chassis.facts.panelMissing === true && !machine.extra((facts) => facts.fixes === 'panel'),
      )
      .map((chassis) => ({
        what: `A panel of ${partLabel(chassis)} is missing: it stays open`,
        why: [cite(chassis, 'panelMissing'), citeAll([chassis], 'panels included', '0')],
        fixes: [
          add('extra', 'a panel', (part) => part.facts.fixes === 'panel'),
          byHand('cut one from sheet metal', 'an hour'),
        ],
      })),
}
