import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule } from '../rule'

export const coolerHeight: FitRule = {
  id: 'cooler-height',
  area: 'space',
  severity: 'stops',
  question: 'Does the case close over the cooler?',
  reads: [
    { role: 'cooler', facts: ['heightMm'] },
    { role: 'case', facts: ['maxCoolerMm'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'cooler', 'case')
      .filter(([cooler, chassis]) => cooler.facts.heightMm! > chassis.facts.maxCoolerMm!)
      .map(([cooler, chassis]) => ({
        what: `${partLabel(cooler)} stands ${cooler.facts.heightMm} mm high; ${partLabel(chassis)} closes over ${chassis.facts.maxCoolerMm} mm`,
        why: [cite(cooler, 'heightMm'), cite(chassis, 'maxCoolerMm')],
        fixes: [
          replace(
            'cooler',
            `a cooler of ${chassis.facts.maxCoolerMm} mm at most`,
            (part) => (part.facts.heightMm ?? Infinity) <= chassis.facts.maxCoolerMm!,
          ),
          replace(
            'case',
            `a case for ${cooler.facts.heightMm} mm`,
            (part) => (part.facts.maxCoolerMm ?? 0) >= cooler.facts.heightMm!,
          ),
        ],
      })),
}
