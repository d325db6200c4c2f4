import { memoryGbOf } from '../sums'
import { cite, citeAll, replace, type FitRule } from '../rule'

/** Graphics without memory of its own takes about 2 GB of the machine's. */
export const sharedMemory: FitRule = {
  id: 'shared-memory',
  area: 'platform',
  severity: 'costs',
  question: 'Is there memory enough for graphics that takes its own from it?',
  reads: [
    { role: 'cpu', facts: ['integratedGraphics'] },
    { role: 'memory', facts: ['capacityGb', 'memoryGeneration'] },
  ],
  concerns: (machine) =>
    machine.all('graphics').length === 0 &&
    machine.all('cpu').some((cpu) => cpu.facts.integratedGraphics === true),
  check: (machine) =>
    memoryGbOf(machine) >= 16
      ? []
      : machine.all('cpu').map((cpu) => ({
          what: `Graphics of the CPU takes about 2 GB of ${memoryGbOf(machine)}: too little is left`,
          why: [
            cite(cpu, 'integratedGraphics'),
            citeAll(machine.all('memory'), 'capacity', `${memoryGbOf(machine)} GB`),
          ],
          fixes: [
            replace(
              'memory',
              '16 GB or more',
              (part) =>
                part.facts.memoryGeneration === machine.all('memory')[0]!.facts.memoryGeneration &&
                part.facts.module !== 'laptop' &&
                (part.facts.capacityGb ?? 0) >= 16,
            ),
          ],
        })),
}
