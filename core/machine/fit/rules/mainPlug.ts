import { compared } from '../../../parts/vocabularies'
import { partLabel } from '../../../parts/part'
import { add, cite, pairsOf, replace, type FitRule } from '../rule'

/** Makers of office machines use main plugs of their own. */
export const mainPlug: FitRule = {
  id: 'main-plug',
  area: 'connections',
  severity: 'stops',
  question: 'Does the PSU’s main connector fit the board?',
  reads: [
    { role: 'supply', facts: ['mainPlug'] },
    { role: 'motherboard', facts: ['mainPlug'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'supply', 'motherboard')
      .filter(
        ([supply, board]) =>
          !goesIn(supply.facts.mainPlug!, board.facts.mainPlug!) &&
          !machine.extra(
            (facts) => facts.feedsFrom === supply.facts.mainPlug && facts.feedsTo === board.facts.mainPlug,
          ),
      )
      .map(([supply, board]) => ({
        what:
          `${partLabel(supply)} has the main connector ${supply.facts.mainPlug}; ` +
          `${partLabel(board)} takes ${board.facts.mainPlug}`,
        why: [cite(supply, 'mainPlug'), cite(board, 'mainPlug')],
        // twenty pins in a socket of twenty-four start most boards, with less for the slots
        ...(supply.facts.mainPlug === 'ATX20' && board.facts.mainPlug === 'ATX24'
          ? { severity: 'needs' as const }
          : {}),
        fixes: [
          add(
            'extra',
            `an adapter from ${supply.facts.mainPlug} to ${board.facts.mainPlug}`,
            (part) =>
              part.facts.feedsFrom === supply.facts.mainPlug && part.facts.feedsTo === board.facts.mainPlug,
          ),
          replace(
            'supply',
            `a PSU with ${board.facts.mainPlug}`,
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

/** Whether a plug goes into a socket: four of the twenty-four pins come off. */
const goesIn = (plug: string, socket: string) =>
  compared(plug) === compared(socket) || (plug === 'ATX24' && socket === 'ATX20')
