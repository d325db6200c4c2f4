import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule } from '../rule'

export const radiatorPlace: FitRule = {
  id: 'radiator-place',
  area: 'space',
  severity: 'stops',
  question: 'Is there a mount for the radiator?',
  reads: [
    { role: 'cooler', facts: ['radiatorMm'] },
    { role: 'case', facts: ['radiatorMm'] },
  ],
  concerns: (machine) => machine.all('cooler').some((cooler) => (cooler.facts.radiatorMm ?? 0) > 0),
  check: (machine) =>
    pairsOf(machine, 'cooler', 'case')
      .filter(([cooler, chassis]) => !takesRadiator(chassis.facts.radiatorMm!, cooler.facts.radiatorMm!))
      .map(([cooler, chassis]) => ({
        what:
          `No mount for a ${cooler.facts.radiatorMm} mm radiator in ${partLabel(chassis)} ` +
          `(takes ${chassis.facts.radiatorMm} mm)`,
        why: [cite(cooler, 'radiatorMm'), cite(chassis, 'radiatorMm')],
        fixes: [
          replace(
            'cooler',
            'a cooler without a radiator',
            (part) =>
              (part.facts.radiatorMm ?? 0) === 0 &&
              (part.facts.heightMm ?? Infinity) <= (chassis.facts.maxCoolerMm ?? 0),
          ),
          replace('case', `a case for a ${cooler.facts.radiatorMm} mm radiator`, (part) =>
            takesRadiator(part.facts.radiatorMm ?? 0, cooler.facts.radiatorMm!),
          ),
        ],
      })),
}

/**
 * Whether a place for a radiator takes another: radiators are rows of fans of 120 or 140 mm. A narrow one goes where a
 * wide one of its length goes, never the other way round: 280 mm does not go where 360 mm does.
 */
function takesRadiator(placeMm: number, radiatorMm: number): boolean {
  if (radiatorMm > placeMm) return false
  const isWide = (mm: number) => mm % 140 === 0
  return !isWide(radiatorMm) || isWide(placeMm)
}
