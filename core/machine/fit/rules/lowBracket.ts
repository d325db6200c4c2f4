import { partLabel } from '../../../parts/part'
import { add, byHand, cite, pairsOf, type FitRule } from '../rule'

export const lowBracket: FitRule = {
  id: 'low-bracket',
  area: 'condition',
  severity: 'needs',
  question: 'Is the card’s low-profile bracket included?',
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
        what: `${partLabel(card)} has no low-profile bracket: it cannot be fixed in ${partLabel(chassis)}`,
        why: [cite(card, 'lowBracketIncluded'), cite(chassis, 'lowProfileOnly')],
        fixes: [
          add('extra', 'a low-profile bracket', (part) => part.facts.fixes === 'low-bracket'),
          byHand('cut the bracket', 'metalwork, 30 minutes'),
        ],
      })),
}
