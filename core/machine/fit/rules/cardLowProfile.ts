import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, notTold, type FitRule, type Outcome } from '../rule'

export const cardLowProfile: FitRule = {
  id: 'card-low-profile',
  area: 'space',
  severity: 'stops',
  question: 'Does the card fit a low-profile case?',
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
          what: `${partLabel(card)} is full height; ${partLabel(chassis)} takes low-profile cards only`,
          why: [cite(card, 'lowProfile'), cite(chassis, 'lowProfileOnly')],
          fixes: [
            replace('graphics', 'a low-profile card', (part) => part.facts.lowProfile === true, {
              leavesOpen: 'lower fps',
            }),
            replace(
              'case',
              'a full-height case',
              (part) =>
                part.facts.lowProfileOnly !== true &&
                (part.facts.maxCardMm ?? 0) >= (card.facts.lengthMm ?? 0),
            ),
          ],
        },
      ]
    }),
}
