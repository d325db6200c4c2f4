import { partLabel } from '../../../parts/part'
import { modulesOf } from '../sums'
import { byHand, cite, citeAll, pairsOf, type FitRule } from '../rule'

const slowestMts: Readonly<Record<string, number>> = { DDR4: 1600, DDR5: 4000 }

/** A profile above what the CPU's maker promises is a try; with four modules it seldom holds. */
export const memoryProfile: FitRule = {
  id: 'memory-profile',
  area: 'platform',
  severity: 'hints',
  question: 'Does the CPU promise the memory’s speed?',
  reads: [
    { role: 'memory', facts: ['speedMts'] },
    { role: 'cpu', facts: ['maxMemoryMts'] },
  ],
  concerns: (machine) => machine.all('cpu').some(({ facts }) => facts.maxMemoryMts !== undefined),
  check: (machine) =>
    pairsOf(machine, 'memory', 'cpu')
      .filter(
        ([memory, cpu]) =>
          memory.facts.speedMts! > cpu.facts.maxMemoryMts! &&
          // a promise below the slowest of a generation was given for another one
          cpu.facts.maxMemoryMts! >= (slowestMts[memory.facts.memoryGeneration ?? ''] ?? 0),
      )
      .map(([memory, cpu]) => {
        const modules = modulesOf(machine)
        const many = modules >= 4 ? `, and ${modules} modules seldom reach a profile` : ''
        return {
          what: `${partLabel(cpu)} promises ${cpu.facts.maxMemoryMts} MT/s; ${memory.facts.speedMts} is a profile that may not hold${many}`,
          why: [
            modules >= 4
              ? citeAll(machine.all('memory'), 'modules', String(modules))
              : cite(memory, 'speedMts'),
            cite(cpu, 'maxMemoryMts'),
          ] as const,
          fixes: [
            byHand('set the profile and test the memory for an hour', 'an hour, once', {
              leavesOpen: `it falls back to ${cpu.facts.maxMemoryMts} MT/s where it fails`,
            }),
          ],
        }
      }),
}
