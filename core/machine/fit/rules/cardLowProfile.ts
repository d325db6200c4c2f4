import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule } from '../rule'

export const cardLowProfile: FitRule = {
  id: 'card-low-profile',
  area: 'space',
  severity: 'stops',
  question: 'Is the card low enough for a slim case?',
  reads: [
    { role: 'graphics', facts: ['lowProfile'] },
    { role: 'case', facts: ['lowProfileOnly'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'graphics', 'case')
      .filter(([card, chassis]) => chassis.facts.lowProfileOnly === true && !card.facts.lowProfile)
      .map(([card, chassis]) => ({
        what: `${partLabel(chassis)} takes low cards only; ${partLabel(card)} is of full height`,
        why: [cite(card, 'lowProfile'), cite(chassis, 'lowProfileOnly')],
        fixes: [
          replace('graphics', 'a low-profile card', (part) => part.facts.lowProfile === true, {
            leavesOpen: 'fewer frames',
          }),
          replace(
            'case',
            'a case of full height',
            (part) =>
              part.facts.lowProfileOnly !== true && (part.facts.maxCardMm ?? 0) >= (card.facts.lengthMm ?? 0),
          ),
        ],
      })),
}
