import { partLabel } from '../../../parts/part'
import { cite, replace, type FitRule } from '../rule'

export const caseFans: FitRule = {
  id: 'case-fans',
  area: 'heat',
  severity: 'costs',
  question: 'Does a fan move air through the case?',
  reads: [{ role: 'case', facts: ['fans', 'fanPlaces'] }],
  concerns: (machine) => machine.all('graphics').length > 0,
  check: (machine) =>
    machine
      .all('case')
      .filter((chassis) => chassis.facts.fans === 0)
      .map((chassis) => ({
        what: `${partLabel(chassis)} comes without a fan, and there is a card to be cooled`,
        why: [cite(chassis, 'fans'), cite(chassis, 'fanPlaces')],
        fixes: [replace('case', 'a case with two fans', (part) => (part.facts.fans ?? 0) >= 2)],
      })),
}
