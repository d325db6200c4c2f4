import { add, byHand, citeAll, citeBrief, type FitRule } from '../rule'

export const licence: FitRule = {
  id: 'licence',
  area: 'condition',
  severity: 'needs',
  question: 'Is there a licence for the operating system, where the brief asks for one?',
  reads: [{ role: 'motherboard', facts: ['socket'] }],
  concerns: (machine) => machine.brief.needs.includes('licence'),
  check: (machine) =>
    machine.extra((facts) => facts.covers === 'licence')
      ? []
      : [
          {
            what: 'The brief asks for a licence for the operating system; there is none',
            why: [
              citeAll(machine.all('motherboard'), 'licences in the build', '0'),
              citeBrief('asks for', 'system licence'),
            ],
            fixes: [
              add('extra', 'a licence', (part) => part.facts.covers === 'licence'),
              byHand('one comes with the donor or from an old machine', 'move it over', {
                leavesOpen: 'it may be bound to its board',
              }),
            ],
          },
        ],
}
