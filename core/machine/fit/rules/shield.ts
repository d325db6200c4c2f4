import { partLabel } from '../../../parts/part'
import { add, byHand, cite, pairsOf, type FitRule } from '../rule'

export const shield: FitRule = {
  id: 'shield',
  area: 'condition',
  severity: 'needs',
  question: 'Is the I/O shield included?',
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
        what: `${partLabel(board)} has no I/O shield: an open hole at the back of ${partLabel(chassis)}`,
        why: [cite(board, 'shieldIncluded'), cite(chassis, 'boardSizes')],
        fixes: [
          add('extra', 'an I/O shield for the board', (part) => part.facts.fixes === 'shield'),
          byHand('leave it open', 'none', { leavesOpen: 'dust and exposed contacts' }),
        ],
      })),
}
