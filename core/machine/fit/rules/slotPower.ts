import { partLabel } from '../../../parts/part'
import { hasPlugs, slotDraw, slotWatts } from '../../power/cardFeeds'
import { cite, notTold, pairsOf, replace, type FitRule, type Outcome } from '../rule'

/** A card without plugs may draw what its slot gives: 75 W, or less where board or donor states it. */
export const slotPower: FitRule = {
  id: 'slot-power',
  area: 'power',
  severity: 'stops',
  question: 'Does the slot deliver the power the card draws?',
  reads: [
    { role: 'graphics', facts: ['boardPowerW', 'sixPinLeads', 'eightPinLeads'] },
    { role: 'motherboard', facts: ['slotW'] },
  ],
  tellsUnknown: true,
  concerns: (machine) => machine.all('graphics').length > 0 && machine.all('motherboard').length > 0,
  check: (machine) =>
    pairsOf(machine, 'graphics', 'motherboard').flatMap(([card, board]): Outcome[] => {
      const gives = board.facts.slotW ?? slotWatts
      const { boardPowerW, sixPinLeads, eightPinLeads } = card.facts
      if (boardPowerW === undefined) return [notTold(card, 'boardPowerW')]
      if (boardPowerW <= gives) return []
      if (!hasPlugs(card.facts) && (sixPinLeads === undefined || eightPinLeads === undefined))
        return [notTold(card, 'sixPinLeads', 'eightPinLeads')]
      const drawn = slotDraw(card)
      if (drawn <= gives) return []
      return [
        {
          what: `${partLabel(card)} draws ${Math.round(drawn)} W from its slot; ${partLabel(board)} delivers ${gives} W`,
          why: [cite(card, 'boardPowerW'), cite(board, 'slotW')] as const,
          fixes: [
            replace(
              'graphics',
              `a card that draws at most ${gives} W from the slot`,
              (part) => (part.facts.boardPowerW ?? Infinity) <= gives,
              {
                leavesOpen: 'lower fps',
              },
            ),
          ],
        },
      ]
    }),
}
