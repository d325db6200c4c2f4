import { partLabel, type Part } from '../../../parts/part'
import { cite, citeAll, notTold, remove, replace, type FitRule, type Outcome } from '../rule'
import { slotsTaken } from '../sums'

/** Every card sits in a slot of its own, and a thick one covers those beside it. */
export const slotsCovered: FitRule = {
  id: 'slots-covered',
  area: 'space',
  severity: 'stops',
  question: 'Is there a free slot for every card?',
  reads: [{ role: 'motherboard', facts: ['expansionSlots', 'formFactor'] }],
  tellsUnknown: true,
  concerns: (machine) =>
    machine.all('motherboard').length > 0 &&
    machine.all('graphics').length +
      machine.all('extra').filter(({ facts }) => facts.takesSlot === true).length >
      0,
  check: (machine) =>
    machine.all('motherboard').flatMap((board): Outcome[] => {
      const others = machine.all('extra').filter(({ facts }) => facts.takesSlot === true)
      const graphics = machine.all('graphics')
      const slots = slotsOf(board)
      if (slots === undefined)
        return graphics.length + others.length <= 1 ? [] : [notTold(board, 'expansionSlots')]
      // the last card may stick out over the edge of the board
      const taken = graphics.reduce((sum, card) => sum + slotsTaken(card), 0)
      const overhang = graphics.length > 0 ? Math.max(...graphics.map(slotsTaken)) - 1 : 0
      const needed = taken - (others.length === 0 ? overhang : 0) + others.length
      if (needed <= slots) return []
      const last = others[0] ?? graphics.at(-1)!
      return [
        {
          what: `${graphics.length + others.length} cards need ${needed} slots; ${partLabel(board)} has ${slots}`,
          why: [
            citeAll([...graphics, ...others], 'slots needed', String(needed)),
            cite(board, 'expansionSlots'),
          ] as const,
          fixes: [
            replace(
              'motherboard',
              'a board with more slots',
              (part) =>
                part.facts.socket === board.facts.socket && (part.facts.expansionSlots ?? 0) >= needed,
            ),
            remove(
              last,
              `leave out ${partLabel(last)}${others.length > 0 ? '; use a USB version instead' : ''}`,
            ),
          ],
        },
      ]
    }),
}

/** A mini-ITX board has one slot by its standard. */
const slotsOf = ({ facts }: Part) => facts.expansionSlots ?? (facts.formFactor === 'mini-ITX' ? 1 : undefined)
