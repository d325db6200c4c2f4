import { partLabel } from '../../../parts/part'
import { slotShareOf } from '../../../performance/model/slotShare'
import { cite, pairsOf, replace, type FitRule } from '../rule'

/** A narrow or old slot costs frames; it never keeps a card from working. */
export const slotLanes: FitRule = {
  id: 'slot-lanes',
  area: 'connections',
  severity: 'costs',
  question: 'Does the slot have enough PCIe bandwidth for the card?',
  reads: [
    { role: 'graphics', facts: ['lanes', 'pcieVersion'] },
    { role: 'motherboard', facts: ['lanes', 'pcieVersion'] },
  ],
  concerns: (machine) =>
    [...machine.all('motherboard'), ...machine.all('graphics')].some(
      ({ facts }) => facts.lanes !== undefined && facts.lanes < 16,
    ),
  check: (machine) =>
    pairsOf(machine, 'graphics', 'motherboard').flatMap(([card, board]) => {
      const share = slotShareOf(card, board)
      if (share === null || share >= 1) return []
      const lanes = Math.min(card.facts.lanes!, board.facts.lanes!)
      const version = Math.min(card.facts.pcieVersion!, board.facts.pcieVersion!)
      return [
        {
          what: `${partLabel(card)} runs at PCIe ${version} ×${lanes} here: about ${Math.round(100 * (1 - share))} % lower fps`,
          why: [cite(card, 'lanes'), cite(board, 'pcieVersion')] as const,
          ...(share > 0.97 ? { severity: 'hints' as const } : {}),
          fixes: [
            replace(
              'motherboard',
              'a board with a faster slot',
              (part) => part.facts.socket === board.facts.socket && (slotShareOf(card, part) ?? 0) > share,
            ),
          ],
        },
      ]
    }),
}
