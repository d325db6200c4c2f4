import { partLabel } from '../../../parts/part'
import { byHand, cite, pairsOf, replace, type FitRule } from '../rule'

/** Some cards lose a quarter of their frames on a board that shows them only a window of their memory. */
export const resizableMemory: FitRule = {
  id: 'resizable-memory',
  area: 'connections',
  severity: 'costs',
  question: 'Does the board support resizable BAR for the card?',
  reads: [
    { role: 'graphics', facts: ['needsResizable'] },
    { role: 'motherboard', facts: ['resizableMemory'] },
  ],
  concerns: (machine) => machine.all('graphics').some(({ facts }) => facts.needsResizable === true),
  check: (machine) =>
    pairsOf(machine, 'graphics', 'motherboard')
      .filter(([card, board]) => card.facts.needsResizable === true && board.facts.resizableMemory === false)
      .map(([card, board]) => ({
        what: `${partLabel(card)} is slow without resizable BAR; ${partLabel(board)} does not support it`,
        why: [cite(card, 'needsResizable'), cite(board, 'resizableMemory')],
        fixes: [
          replace(
            'graphics',
            'a card that does not need it',
            ({ facts }) =>
              facts.needsResizable !== true &&
              (facts.graphicsIndex ?? 0) >= 0.75 * (card.facts.graphicsIndex ?? 0),
          ),
          replace(
            'motherboard',
            'a board that supports it',
            ({ facts }) => facts.socket === board.facts.socket && facts.resizableMemory === true,
          ),
          byHand('check for a newer BIOS', 'ten minutes', {
            leavesOpen: 'many old boards never got one',
          }),
        ],
      })),
}
