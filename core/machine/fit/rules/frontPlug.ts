import { compared } from '../../../parts/vocabularies'
import { takesBoard } from '../../../parts/boardSize'
import { partLabel } from '../../../parts/part'
import { add, byHand, cite, pairsOf, replace, type FitRule } from '../rule'

export const frontPlug: FitRule = {
  id: 'front-plug',
  area: 'connections',
  severity: 'needs',
  question: 'Does the front panel’s plug fit the board?',
  reads: [
    { role: 'case', facts: ['frontPlug'] },
    { role: 'motherboard', facts: ['frontPlug'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'case', 'motherboard')
      .filter(
        ([chassis, board]) =>
          compared(chassis.facts.frontPlug!) !== compared(board.facts.frontPlug!) &&
          !machine.extra((facts) => facts.fixes === 'front-plug'),
      )
      .map(([chassis, board]) => ({
        what: `The front panel of ${partLabel(chassis)} has the plug ${chassis.facts.frontPlug}; ${partLabel(board)} takes ${board.facts.frontPlug}`,
        why: [cite(chassis, 'frontPlug'), cite(board, 'frontPlug')],
        fixes: [
          add('extra', 'an adapter for the front panel', (part) => part.facts.fixes === 'front-plug'),
          byHand('rewire the switch and the lights', 'half an hour with a meter', {
            leavesOpen: 'front USB and sound stay dead',
          }),
          replace(
            'case',
            'a case with the usual plug',
            (part) =>
              part.facts.frontPlug === board.facts.frontPlug &&
              takesBoard(part.facts.boardSizes ?? [], board.facts.formFactor ?? ''),
          ),
        ],
      })),
}
