import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule } from '../rule'

export const supplyLength: FitRule = {
  id: 'supply-length',
  area: 'space',
  severity: 'stops',
  question: 'Is the PSU short enough for the case?',
  reads: [
    { role: 'supply', facts: ['lengthMm'] },
    { role: 'case', facts: ['maxSupplyMm'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'supply', 'case')
      .filter(([supply, chassis]) => supply.facts.lengthMm! > chassis.facts.maxSupplyMm!)
      .map(([supply, chassis]) => ({
        what:
          `${partLabel(supply)} is ${supply.facts.lengthMm} mm long; ${partLabel(chassis)} ` +
          `takes ${chassis.facts.maxSupplyMm} mm`,
        why: [cite(supply, 'lengthMm'), cite(chassis, 'maxSupplyMm')],
        fixes: [
          replace(
            'supply',
            `a PSU of at most ${chassis.facts.maxSupplyMm} mm`,
            (part) =>
              (part.facts.lengthMm ?? Infinity) <= chassis.facts.maxSupplyMm! &&
              part.facts.supplyShape === supply.facts.supplyShape,
          ),
          replace('case', 'a deeper case', (part) => (part.facts.maxSupplyMm ?? 0) >= supply.facts.lengthMm!),
        ],
      })),
}
