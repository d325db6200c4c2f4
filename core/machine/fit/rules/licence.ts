import { add, byHand, citeAll, citeBrief, type FitRule } from '../rule'

export const licence: FitRule = {
  id: 'licence',
  area: 'condition',
  severity: 'needs',
  question: 'Is there an OS licence, if your brief asks for one?',
  reads: [{ role: 'motherboard', facts: ['socket'] }],
  concerns: (machine) => machine.brief.needs.includes('licence'),
  check: (machine) =>
    machine.extra((facts) => facts.covers === 'licence')
      ? []
      : [
          {
            what: 'Your brief asks for an OS licence; there is none',
            why: [
              citeAll(machine.all('motherboard'), 'licences in the build', '0'),
              citeBrief('requires', 'OS licence'),
            ],
            fixes: [
              add('extra', 'a licence', (part) => part.facts.covers === 'licence'),
              byHand('one comes with the donor or an old PC', 'transfer it', {
                leavesOpen: 'it may be tied to its board',
              }),
            ],
          },
        ],
}
