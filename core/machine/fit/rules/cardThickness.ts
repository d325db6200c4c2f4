import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule } from '../rule'
import { slotsTaken } from '../sums'

export const cardThickness: FitRule = {
  id: 'card-thickness',
  area: 'space',
  severity: 'stops',
  question: 'Does the case have enough slots for the card’s thickness?',
  reads: [
    { role: 'graphics', facts: ['slotsThick'] },
    { role: 'case', facts: ['cardSlots'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'graphics', 'case')
      .filter(
        ([card, chassis]) =>
          card.facts.slotsThick! > chassis.facts.cardSlots! ||
          machine.all('graphics').reduce((sum, each) => sum + slotsTaken(each), 0) > chassis.facts.cardSlots!,
      )
      .map(([card, chassis]) => ({
        what:
          `${machine.all('graphics').length > 1 ? `${machine.all('graphics').length} cards together are ${machine.all('graphics').reduce((sum, each) => sum + slotsTaken(each), 0)}` : `${partLabel(card)} is ${card.facts.slotsThick}`} ` +
          `slots thick; ${partLabel(chassis)} has room for ${chassis.facts.cardSlots}`,
        why: [cite(card, 'slotsThick'), cite(chassis, 'cardSlots')],
        fixes: [
          replace(
            'graphics',
            `a card of at most ${chassis.facts.cardSlots} slots`,
            (part) =>
              (part.facts.slotsThick ?? Infinity) <= chassis.facts.cardSlots! &&
              (part.facts.graphicsIndex ?? 0) >= 0.9 * (card.facts.graphicsIndex ?? 0),
          ),
          replace(
            'case',
            `a case with ${Math.ceil(card.facts.slotsThick!)} slots`,
            (part) => (part.facts.cardSlots ?? 0) >= card.facts.slotsThick!,
          ),
        ],
      })),
}
