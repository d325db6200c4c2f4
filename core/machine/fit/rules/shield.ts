import { partLabel } from '../../../parts/part'
import { add, byHand, cite, pairsOf, type FitRule } from '../rule'

export const shield: FitRule = {
  id: 'shield',
  area: 'condition',
  severity: 'needs',
  question: 'Is the board’s shield there?',
  reads: [
    { role: 'motherboard', facts: ['shieldIncluded'] },
    { role: 'case', facts: ['boardSizes'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'motherboard', 'case')
      .filter(
        ([board]) =>
          board.facts.shieldIncluded === false && !machine.extra((facts) => facts.fixes === 'shield'),
      )
      .map(([board, chassis]) => ({
        what: `${partLabel(board)} comes without its shield: a hole at the back of ${partLabel(chassis)}`,
        why: [cite(board, 'shieldIncluded'), cite(chassis, 'boardSizes')],
        fixes: [
          add('extra', 'a shield for the board', (part) => part.facts.fixes === 'shield'),
          byHand('leave the hole', 'none', { leavesOpen: 'dust, and fingers' }),
        ],
      })),
}
