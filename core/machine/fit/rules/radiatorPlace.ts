import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule } from '../rule'

export const radiatorPlace: FitRule = {
  id: 'radiator-place',
  area: 'space',
  severity: 'stops',
  question: 'Is there a place for the radiator?',
  reads: [
    { role: 'cooler', facts: ['radiatorMm'] },
    { role: 'case', facts: ['radiatorMm'] },
  ],
  concerns: (machine) => machine.all('cooler').some((cooler) => (cooler.facts.radiatorMm ?? 0) > 0),
  check: (machine) =>
    pairsOf(machine, 'cooler', 'case')
      .filter(([cooler, chassis]) => cooler.facts.radiatorMm! > chassis.facts.radiatorMm!)
      .map(([cooler, chassis]) => ({
        what: `A radiator of ${cooler.facts.radiatorMm} mm has no place in ${partLabel(chassis)} (${chassis.facts.radiatorMm} mm)`,
        why: [cite(cooler, 'radiatorMm'), cite(chassis, 'radiatorMm')],
        fixes: [
          replace(
            'cooler',
            'a cooler without one',
            (part) =>
              (part.facts.radiatorMm ?? 0) === 0 &&
              (part.facts.heightMm ?? Infinity) <= (chassis.facts.maxCoolerMm ?? 0),
          ),
          replace(
            'case',
            `a case for ${cooler.facts.radiatorMm} mm`,
            (part) => (part.facts.radiatorMm ?? 0) >= cooler.facts.radiatorMm!,
          ),
        ],
      })),
}
