import { partLabel } from '../../../parts/part'
import { cite, citeAll, remove, replace, type FitRule } from '../rule'

export const slotsCovered: FitRule = {
  id: 'slots-covered',
  area: 'space',
  severity: 'stops',
  question: 'Is there a free slot for every other card?',
  reads: [{ role: 'motherboard', facts: ['expansionSlots', 'socket'] }],
  concerns: (machine) => machine.all('extra').some((part) => part.facts.takesSlot === true),
  check: (machine) =>
    machine.all('motherboard').flatMap((board) => {
      const cards = machine.all('extra').filter((part) => part.facts.takesSlot === true)
      const covered = machine
        .all('graphics')
        .reduce((sum, card) => sum + Math.ceil(card.facts.slotsThick ?? 2), 0)
      const free = Math.max(0, board.facts.expansionSlots! - covered)
      if (cards.length <= free) return []
      return [
        {
          what: `The graphics card covers all but ${free} of the slots of ${partLabel(board)}; ${cards.length} more ${cards.length === 1 ? 'card needs' : 'cards need'} one`,
          why: [
            citeAll(cards, 'cards for a slot', String(cards.length)),
            cite(board, 'expansionSlots'),
          ] as const,
          fixes: [
            replace(
              'motherboard',
              'a board with more slots',
              (part) =>
                part.facts.socket === board.facts.socket &&
                (part.facts.expansionSlots ?? 0) - covered >= cards.length,
            ),
            remove(cards[0]!, `leave ${partLabel(cards[0]!)} out; the same comes as a stick for USB`),
          ],
        },
      ]
    }),
}
