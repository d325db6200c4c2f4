import { takesBoard } from '../../../parts/boardSize'
import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule } from '../rule'

export const boardSize: FitRule = {
  id: 'board-size',
  area: 'space',
  severity: 'stops',
  question: 'Does the board fit the case?',
  reads: [
    { role: 'motherboard', facts: ['formFactor'] },
    { role: 'case', facts: ['boardSizes'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'motherboard', 'case')
      .filter(([board, chassis]) => !takesBoard(chassis.facts.boardSizes!, board.facts.formFactor!))
      .map(([board, chassis]) => ({
        what:
          `${partLabel(board)} is ${board.facts.formFactor}; ${partLabel(chassis)} takes ` +
          `${chassis.facts.boardSizes!.join(', ')}`,
        why: [cite(board, 'formFactor'), cite(chassis, 'boardSizes')],
        fixes: [
          replace('case', `a case for ${board.facts.formFactor}`, (part) =>
            takesBoard(part.facts.boardSizes ?? [], board.facts.formFactor!),
          ),
          replace(
            'motherboard',
            `a ${chassis.facts.boardSizes!.join(' or ')} board`,
            (part) =>
              part.facts.socket === board.facts.socket &&
              takesBoard(chassis.facts.boardSizes!, part.facts.formFactor ?? ''),
          ),
        ],
      })),
}
