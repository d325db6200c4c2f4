import { compared } from '../../../parts/vocabularies'
import { takesBoard } from '../../../parts/boardSize'
import { partLabel } from '../../../parts/part'
import { add, byHand, cite, pairsOf, replace, type FitRule } from '../rule'

export const frontPlug: FitRule = {
  id: 'front-plug',
  area: 'connections',
  severity: 'needs',
  question: 'Does the front-panel connector fit the board?',
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
        what:
          `${partLabel(chassis)} has the front-panel connector ${chassis.facts.frontPlug}; ` +
          `${partLabel(board)} takes ${board.facts.frontPlug}`,
        why: [cite(chassis, 'frontPlug'), cite(board, 'frontPlug')],
        fixes: [
          add('extra', 'a front-panel adapter', (part) => part.facts.fixes === 'front-plug'),
          byHand('rewire the power switch and LEDs', '30 minutes with a multimeter', {
            leavesOpen: 'front USB and audio will not work',
          }),
          replace(
            'case',
            'a case with a standard connector',
            (part) =>
              part.facts.frontPlug === board.facts.frontPlug &&
              takesBoard(part.facts.boardSizes ?? [], board.facts.formFactor ?? ''),
          ),
        ],
      })),
}
