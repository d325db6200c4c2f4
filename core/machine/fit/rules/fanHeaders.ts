import { partLabel } from '../../../parts/part'
import { add, cite, pairsOf, type FitRule } from '../rule'

export const fanHeaders: FitRule = {
  id: 'fan-headers',
  area: 'connections',
  severity: 'needs',
  question: 'Is there a header for every fan?',
  reads: [
    { role: 'case', facts: ['fans'] },
    { role: 'motherboard', facts: ['fanHeaders'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'case', 'motherboard')
      .filter(
        ([chassis, board]) =>
          chassis.facts.fans! > board.facts.fanHeaders! &&
          !machine.extra((facts) => facts.fixes === 'fan-header'),
      )
      .map(([chassis, board]) => ({
        what: `${chassis.facts.fans} fans for ${board.facts.fanHeaders} ${board.facts.fanHeaders === 1 ? 'header' : 'headers'} on ${partLabel(board)}`,
        why: [cite(chassis, 'fans'), cite(board, 'fanHeaders')],
        fixes: [add('extra', 'a splitter for fans', (part) => part.facts.fixes === 'fan-header')],
      })),
}
