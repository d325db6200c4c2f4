import { partLabel } from '../../../parts/part'
import { byHand, cite, pairsOf, replace, type FitRule } from '../rule'

export const cablesBehindGlass: FitRule = {
  id: 'cables-behind-glass',
  area: 'looks',
  severity: 'hints',
  question: 'Can the cables be hidden behind the glass?',
  reads: [
    { role: 'case', facts: ['glass'] },
    { role: 'supply', facts: ['modular', 'supplyShape'] },
  ],
  concerns: (machine) => machine.brief.cablesHidden,
  check: (machine) =>
    pairsOf(machine, 'case', 'supply')
      .filter(([chassis, supply]) => chassis.facts.glass === true && !supply.facts.modular)
      .map(([chassis, supply]) => ({
        what: `${partLabel(supply)} is not modular, and its cables show through the glass of ${partLabel(chassis)}`,
        why: [cite(chassis, 'glass'), cite(supply, 'modular')],
        fixes: [
          byHand('tie the cables behind the board', 'an hour'),
          replace(
            'supply',
            'a modular PSU',
            (part) =>
              part.facts.modular === true &&
              part.facts.supplyShape === supply.facts.supplyShape &&
              (part.facts.ratedW ?? 0) >= (supply.facts.ratedW ?? 0),
          ),
        ],
      })),
}
