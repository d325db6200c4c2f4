import { compared } from '../../../parts/vocabularies'
import { partLabel } from '../../../parts/part'
import { byHand, cite, citeAll, pairsOf, replace, type FitRule } from '../rule'

/** Coolers of small office machines are screwed through the board into their case, which is their back plate. */
export const coolerBolted: FitRule = {
  id: 'cooler-bolted',
  area: 'condition',
  severity: 'needs',
  question: 'Can the cooler be mounted outside its original case?',
  reads: [
    { role: 'cooler', facts: ['boltedToCase'] },
    { role: 'case', facts: [] },
  ],
  concerns: (machine) => machine.all('cooler').some(({ facts }) => facts.boltedToCase !== undefined),
  check: (machine) =>
    pairsOf(machine, 'cooler', 'case')
      .filter(
        ([cooler, chassis]) =>
          cooler.facts.boltedToCase === true &&
          compared(cooler.make) !== compared(chassis.make) &&
          !machine.extra((facts) => facts.fixes === 'mount'),
      )
      .map(([cooler, chassis]) => ({
        what: `${partLabel(cooler)} is bolted to its original case; it cannot be mounted in ${partLabel(chassis)}`,
        why: [cite(cooler, 'boltedToCase'), citeAll([chassis], 'make', chassis.make || 'not known')],
        fixes: [
          replace('cooler', 'a cooler with its own mount', ({ facts }) =>
            Boolean(
              facts.boltedToCase !== true &&
              facts.coolerSockets?.some((socket) => cooler.facts.coolerSockets?.includes(socket)),
            ),
          ),
          byHand('bolt it to a backplate behind the board', '30 minutes, four long screws', {
            leavesOpen: 'the mounting pressure is a guess',
          }),
        ],
      })),
}
