import { partLabel } from '../../../parts/part'
import { byHand, cite, pairsOf, replace, type FitRule } from '../rule'

export const cardLength: FitRule = {
  id: 'card-length',
  area: 'space',
  severity: 'stops',
  question: 'Is the card short enough for the case?',
  reads: [
    { role: 'graphics', facts: ['lengthMm'] },
    { role: 'case', facts: ['maxCardMm'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'graphics', 'case')
      .filter(([card, chassis]) => card.facts.lengthMm! > chassis.facts.maxCardMm!)
      .map(([card, chassis]) => {
        const over = card.facts.lengthMm! - chassis.facts.maxCardMm!
        return {
          what:
            `${partLabel(card)} is ${card.facts.lengthMm} mm long; ${partLabel(chassis)} takes ` +
            `${chassis.facts.maxCardMm} mm: ${over} mm too long`,
          why: [cite(card, 'lengthMm'), cite(chassis, 'maxCardMm')],
          fixes: [
            replace(
              'case',
              `a case for a ${card.facts.lengthMm} mm card`,
              (part) => (part.facts.maxCardMm ?? 0) >= card.facts.lengthMm!,
            ),
            replace(
              'graphics',
              `a card of at most ${chassis.facts.maxCardMm} mm`,
              (part) =>
                (part.facts.lengthMm ?? Infinity) <= chassis.facts.maxCardMm! &&
                (part.facts.graphicsIndex ?? 0) >= 0.9 * (card.facts.graphicsIndex ?? 0),
            ),
            ...(over <= 20
              ? [
                  byHand('cut out the drive cage', 'metalwork, one hour', {
                    leavesOpen: 'you lose the drive bays',
                  }),
                ]
              : []),
          ],
        }
      }),
}
