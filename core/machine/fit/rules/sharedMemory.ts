import { memoryGbOf } from '../sums'
import { cite, citeAll, replace, type FitRule } from '../rule'

/** Graphics without memory of its own takes about 2 GB of the machine's. */
export const sharedMemory: FitRule = {
  id: 'shared-memory',
  area: 'platform',
  severity: 'costs',
  question: 'Is there enough memory for integrated graphics?',
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
          what: `Integrated graphics use about 2 GB of ${memoryGbOf(machine)} GB: too little is left`,
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
