import { partLabel } from '../../../parts/part'
import { add, byHand, cite, citeAll, type FitRule } from '../rule'

export const screwsMissing: FitRule = {
  id: 'screws-missing',
  area: 'condition',
  severity: 'hints',
  question: 'Are screws and standoffs included?',
  reads: [{ role: 'case', facts: ['screwsMissing'] }],
  check: (machine) =>
    machine
      .all('case')
      .filter(
        (chassis) =>
          chassis.facts.screwsMissing === true && !machine.extra((facts) => facts.fixes === 'screws'),
      )
      .map((chassis) => ({
        what: `${partLabel(chassis)} has no screws and standoffs`,
        why: [cite(chassis, 'screwsMissing'), citeAll([chassis], 'screws included', '0')],
        fixes: [
          add('extra', 'a bag of screws', (part) => part.facts.fixes === 'screws'),
          byHand('from your spares', 'none'),
        ],
      })),
}
