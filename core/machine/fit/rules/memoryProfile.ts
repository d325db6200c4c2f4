import { partLabel } from '../../../parts/part'
import { modulesOf } from '../sums'
import { byHand, cite, citeAll, pairsOf, type FitRule } from '../rule'

const slowestMts: Readonly<Record<string, number>> = { DDR4: 1600, DDR5: 4000 }

/** A profile above what the CPU's maker promises is a try; with four modules it seldom holds. */
export const memoryProfile: FitRule = {
  id: 'memory-profile',
  area: 'platform',
  severity: 'hints',
  question: 'Is the memory speed within the CPU’s specification?',
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
        const many = modules >= 4 ? `, and ${modules} modules rarely reach their profile` : ''
        return {
          what:
            `${partLabel(cpu)} is specified for ${cpu.facts.maxMemoryMts} MT/s; ` +
            `${memory.facts.speedMts} is an overclocking profile that may not be stable${many}`,
          why: [
            modules >= 4
              ? citeAll(machine.all('memory'), 'modules', String(modules))
              : cite(memory, 'speedMts'),
            cite(cpu, 'maxMemoryMts'),
          ] as const,
          fixes: [
            byHand('enable the profile and run a memory test for an hour', 'one hour, once', {
              leavesOpen: `falls back to ${cpu.facts.maxMemoryMts} MT/s if unstable`,
            }),
          ],
        }
      }),
}
