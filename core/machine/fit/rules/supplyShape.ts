import { partLabel, type Part } from '../../../parts/part'
import { add, byHand, cite, pairsOf, replace, type FitRule } from '../rule'

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
      .filter(
        ([supply, chassis]) =>
          !chassis.facts.supplyShapes!.includes(supply.facts.supplyShape!) &&
          !(goesWithPlate(supply, chassis) && machine.extra((facts) => facts.fixes === 'plate')),
      )
      .map(([supply, chassis]) => ({
        what: `${partLabel(chassis)} takes ${chassis.facts.supplyShapes!.join(', ')} supplies; ${partLabel(supply)} is ${supply.facts.supplyShape}`,
        why: [cite(supply, 'supplyShape'), cite(chassis, 'supplyShapes')],
        ...(goesWithPlate(supply, chassis) ? { severity: 'needs' as const } : {}),
        fixes: [
          ...(goesWithPlate(supply, chassis)
            ? [
                byHand('screw it in with its plate', 'the plate lies in the box of most, ten minutes', {
                  leavesOpen: 'short leads',
                }),
                add('extra', 'a plate for it', (part) => part.facts.fixes === 'plate'),
              ]
            : []),
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

/** A supply of the small standard shape goes where a large one does, by a plate. */
const goesWithPlate = (supply: Part, chassis: Part) =>
  (supply.facts.supplyShape === 'SFX' || supply.facts.supplyShape === 'SFX-L') &&
  chassis.facts.supplyShapes!.includes('ATX')
