import { partLabel, type Part } from '../../../parts/part'
import { add, byHand, cite, pairsOf, replace, type FitRule } from '../rule'

export const supplyShape: FitRule = {
  id: 'supply-shape',
  area: 'space',
  severity: 'stops',
  question: 'Does the PSU form factor fit the case?',
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
        what:
          `${partLabel(supply)} is ${supply.facts.supplyShape}; ${partLabel(chassis)} takes ` +
          `${chassis.facts.supplyShapes!.join(', ')}`,
        why: [cite(supply, 'supplyShape'), cite(chassis, 'supplyShapes')],
        ...(goesWithPlate(supply, chassis) ? { severity: 'needs' as const } : {}),
        fixes: [
          ...(goesWithPlate(supply, chassis)
            ? [
                byHand('use its adapter bracket', 'usually included with the PSU, ten minutes', {
                  leavesOpen: 'short cables',
                }),
                add('extra', 'an adapter bracket', (part) => part.facts.fixes === 'plate'),
              ]
            : []),
          replace('supply', `a ${chassis.facts.supplyShapes!.join(' or ')} PSU`, (part) =>
            chassis.facts.supplyShapes!.includes(part.facts.supplyShape ?? ''),
          ),
          replace('case', `a case for ${supply.facts.supplyShape}`, (part) =>
            (part.facts.supplyShapes ?? []).includes(supply.facts.supplyShape!),
          ),
          byHand('make a metal bracket, or mount the PSU outside', 'metalwork, two hours', {
            leavesOpen: 'appearance and dust',
          }),
        ],
      })),
}

/** A supply of the small standard shape goes where a large one does, by a plate. */
const goesWithPlate = (supply: Part, chassis: Part) =>
  (supply.facts.supplyShape === 'SFX' || supply.facts.supplyShape === 'SFX-L') &&
  chassis.facts.supplyShapes!.includes('ATX')
