import { compared } from '../../../parts/vocabularies'
import { partLabel } from '../../../parts/part'
import { byHand, cite, citeAll, pairsOf, replace, type FitRule } from '../rule'

/** Coolers of small office machines are screwed through the board into their case, which is their back plate. */
export const coolerBolted: FitRule = {
  id: 'cooler-bolted',
  area: 'condition',
  severity: 'needs',
  question: 'Does the cooler hold outside the case it came in?',
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
        what: `${partLabel(cooler)} is screwed into its own case; nothing holds it in ${partLabel(chassis)}`,
        why: [cite(cooler, 'boltedToCase'), citeAll([chassis], 'make', chassis.make || 'not known')],
        fixes: [
          replace('cooler', 'a cooler with a mount of its own', ({ facts }) =>
            Boolean(
              facts.boltedToCase !== true &&
              facts.coolerSockets?.some((socket) => cooler.facts.coolerSockets?.includes(socket)),
            ),
          ),
          byHand('screw it to a plate behind the board', 'half an hour, four long screws', {
            leavesOpen: 'the pressure is a guess',
          }),
        ],
      })),
}
