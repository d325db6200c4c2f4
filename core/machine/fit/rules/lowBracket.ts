import { partLabel } from '../../../parts/part'
import { add, byHand, cite, pairsOf, type FitRule } from '../rule'

export const lowBracket: FitRule = {
  id: 'low-bracket',
  area: 'condition',
  severity: 'needs',
  question: 'Is the low bracket of the card there?',
  reads: [
    { role: 'graphics', facts: ['lowProfile', 'lowBracketIncluded'] },
    { role: 'case', facts: ['lowProfileOnly'] },
  ],
  concerns: (machine) =>
    machine.all('case').some((chassis) => chassis.facts.lowProfileOnly === true) &&
    machine.all('graphics').some((card) => card.facts.lowProfile === true),
  check: (machine) =>
    pairsOf(machine, 'graphics', 'case')
      .filter(
        ([card]) =>
          card.facts.lowBracketIncluded === false && !machine.extra((facts) => facts.fixes === 'low-bracket'),
      )
      .map(([card, chassis]) => ({
        what: `${partLabel(card)} comes without its low bracket: it cannot be screwed into ${partLabel(chassis)}`,
        why: [cite(card, 'lowBracketIncluded'), cite(chassis, 'lowProfileOnly')],
        fixes: [
          add('extra', 'a low bracket', (part) => part.facts.fixes === 'low-bracket'),
          byHand('cut the bracket', 'metalwork, half an hour'),
        ],
      })),
}
