import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, notTold, type FitRule, type Outcome } from '../rule'

export const cardLowProfile: FitRule = {
  id: 'card-low-profile',
  area: 'space',
  severity: 'stops',
  question: 'Is the card low enough for a slim case?',
  reads: [
    { role: 'graphics', facts: ['lowProfile'] },
    { role: 'case', facts: ['lowProfileOnly'] },
  ],
  tellsUnknown: true,
  check: (machine) =>
    pairsOf(machine, 'graphics', 'case').flatMap(([card, chassis]): Outcome[] => {
      const { lowProfile } = card.facts
      const { lowProfileOnly, maxCoolerMm } = chassis.facts
      // where a high cooler stands, a card of full height does
      if (
        lowProfile === true ||
        lowProfileOnly === false ||
        (lowProfileOnly === undefined && (maxCoolerMm ?? 0) >= 120)
      )
        return []
      if (lowProfileOnly === undefined) return [notTold(chassis, 'lowProfileOnly')]
      if (lowProfile === undefined) return [notTold(card, 'lowProfile')]
      return [
        {
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
                part.facts.lowProfileOnly !== true &&
                (part.facts.maxCardMm ?? 0) >= (card.facts.lengthMm ?? 0),
            ),
          ],
        },
      ]
    }),
}
