import { partLabel } from '../../../parts/part'
import { byHand, cite, pairsOf, replace, type FitRule } from '../rule'

export const coolerOverMemory: FitRule = {
  id: 'cooler-over-memory',
  area: 'space',
  severity: 'needs',
  question: 'Does the memory fit under the cooler?',
  reads: [
    { role: 'cooler', facts: ['memoryClearanceMm'] },
    { role: 'memory', facts: ['heightMm'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'cooler', 'memory')
      .filter(([cooler, memory]) => memory.facts.heightMm! > cooler.facts.memoryClearanceMm!)
      .map(([cooler, memory]) => ({
        what:
          `${partLabel(memory)} is ${memory.facts.heightMm} mm high; ${partLabel(cooler)} ` +
          `leaves ${cooler.facts.memoryClearanceMm} mm`,
        why: [cite(cooler, 'memoryClearanceMm'), cite(memory, 'heightMm')],
        fixes: [
          byHand('raise the cooler’s fan', '15 minutes', {
            leavesOpen: 'makes the cooler taller',
          }),
          replace(
            'cooler',
            `a cooler with room for ${memory.facts.heightMm} mm`,
            (part) => (part.facts.memoryClearanceMm ?? 0) >= memory.facts.heightMm!,
          ),
          replace(
            'memory',
            `modules of at most ${cooler.facts.memoryClearanceMm} mm`,
            (part) =>
              (part.facts.heightMm ?? Infinity) <= cooler.facts.memoryClearanceMm! &&
              part.facts.memoryGeneration === memory.facts.memoryGeneration &&
              (part.facts.capacityGb ?? 0) >= (memory.facts.capacityGb ?? 0),
          ),
        ],
      })),
}
