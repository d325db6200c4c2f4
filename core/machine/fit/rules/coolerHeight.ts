import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule } from '../rule'

export const coolerHeight: FitRule = {
  id: 'cooler-height',
  area: 'space',
  severity: 'stops',
  question: 'Is the cooler low enough for the case?',
  reads: [
    { role: 'cooler', facts: ['heightMm'] },
    { role: 'case', facts: ['maxCoolerMm'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'cooler', 'case')
      .filter(([cooler, chassis]) => cooler.facts.heightMm! > chassis.facts.maxCoolerMm!)
      .map(([cooler, chassis]) => ({
        what:
          `${partLabel(cooler)} is ${cooler.facts.heightMm} mm high; ${partLabel(chassis)} ` +
          `takes ${chassis.facts.maxCoolerMm} mm`,
        why: [cite(cooler, 'heightMm'), cite(chassis, 'maxCoolerMm')],
        fixes: [
          replace(
            'cooler',
            `a cooler of at most ${chassis.facts.maxCoolerMm} mm`,
            (part) => (part.facts.heightMm ?? Infinity) <= chassis.facts.maxCoolerMm!,
          ),
          replace(
            'case',
            `a case for a ${cooler.facts.heightMm} mm cooler`,
            (part) => (part.facts.maxCoolerMm ?? 0) >= cooler.facts.heightMm!,
          ),
        ],
      })),
}
