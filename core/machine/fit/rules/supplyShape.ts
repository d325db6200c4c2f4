import { partLabel } from '../../../parts/part'
import { byHand, cite, pairsOf, replace, type FitRule } from '../rule'

export const supplyShape: FitRule = {
  id: 'supply-shape',
  area: 'space',
  severity: 'stops',
  question: 'Does the supply’s shape go into the case?',
  reads: [
    { role: 'supply', facts: ['supplyShape'] },
    { role: 'case', facts: ['supplyShapes'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'supply', 'case')
      .filter(([supply, chassis]) => !chassis.facts.supplyShapes!.includes(supply.facts.supplyShape!))
      .map(([supply, chassis]) => ({
        what: `${partLabel(chassis)} takes ${chassis.facts.supplyShapes!.join(', ')} supplies; ${partLabel(supply)} is ${supply.facts.supplyShape}`,
        why: [cite(supply, 'supplyShape'), cite(chassis, 'supplyShapes')],
        fixes: [
          replace('supply', `a supply of shape ${chassis.facts.supplyShapes!.join(' or ')}`, (part) =>
            chassis.facts.supplyShapes!.includes(part.facts.supplyShape ?? ''),
          ),
          replace('case', `a case for ${supply.facts.supplyShape}`, (part) =>
            (part.facts.supplyShapes ?? []).includes(supply.facts.supplyShape!),
          ),
          byHand('a plate of metal, or the supply outside', 'metalwork, two hours', {
            leavesOpen: 'looks, and dust',
          }),
        ],
      })),
}
