import { partLabel } from '../../../parts/part'
import { add, cite, pairsOf, replace, type FitRule } from '../rule'

/** Makers of office machines use main plugs of their own. */
export const mainPlug: FitRule = {
  id: 'main-plug',
  area: 'connections',
  severity: 'stops',
  question: 'Does the supply’s main plug go into the board?',
  reads: [
    { role: 'supply', facts: ['mainPlug'] },
    { role: 'motherboard', facts: ['mainPlug'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'supply', 'motherboard')
      .filter(
        ([supply, board]) =>
          supply.facts.mainPlug !== board.facts.mainPlug &&
          !machine.extra(
            (facts) => facts.feedsFrom === supply.facts.mainPlug && facts.feedsTo === board.facts.mainPlug,
          ),
      )
      .map(([supply, board]) => ({
        what: `${partLabel(supply)} has the main plug ${supply.facts.mainPlug}; ${partLabel(board)} takes ${board.facts.mainPlug}`,
        why: [cite(supply, 'mainPlug'), cite(board, 'mainPlug')],
        fixes: [
          add(
            'extra',
            `an adapter from ${supply.facts.mainPlug} to ${board.facts.mainPlug}`,
            (part) =>
              part.facts.feedsFrom === supply.facts.mainPlug && part.facts.feedsTo === board.facts.mainPlug,
          ),
          replace(
            'supply',
            `a supply with ${board.facts.mainPlug}`,
            (part) => part.facts.mainPlug === board.facts.mainPlug,
          ),
          replace(
            'motherboard',
            `a board with ${supply.facts.mainPlug}`,
            (part) =>
              part.facts.mainPlug === supply.facts.mainPlug && part.facts.socket === board.facts.socket,
          ),
        ],
      })),
}
