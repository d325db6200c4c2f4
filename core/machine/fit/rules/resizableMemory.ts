import { partLabel } from '../../../parts/part'
import { byHand, cite, pairsOf, replace, type FitRule } from '../rule'

/** Some cards lose a quarter of their frames on a board that shows them only a window of their memory. */
export const resizableMemory: FitRule = {
  id: 'resizable-memory',
  area: 'connections',
  severity: 'costs',
  question: 'Does the board give the card all its memory at once?',
  reads: [
    { role: 'graphics', facts: ['needsResizable'] },
    { role: 'motherboard', facts: ['resizableMemory'] },
  ],
  concerns: (machine) => machine.all('graphics').some(({ facts }) => facts.needsResizable === true),
  check: (machine) =>
    pairsOf(machine, 'graphics', 'motherboard')
      .filter(([card, board]) => card.facts.needsResizable === true && board.facts.resizableMemory === false)
      .map(([card, board]) => ({
        what: `${partLabel(card)} is slow without resizable memory access; ${partLabel(board)} has none`,
        why: [cite(card, 'needsResizable'), cite(board, 'resizableMemory')],
        fixes: [
          replace(
            'graphics',
            'a card that does without',
            ({ facts }) =>
              facts.needsResizable !== true &&
              (facts.graphicsIndex ?? 0) >= 0.75 * (card.facts.graphicsIndex ?? 0),
          ),
          replace(
            'motherboard',
            'a board that has it',
            ({ facts }) => facts.socket === board.facts.socket && facts.resizableMemory === true,
          ),
          byHand('look for a newer firmware', 'ten minutes', {
            leavesOpen: 'many old boards never got one',
          }),
        ],
      })),
}
