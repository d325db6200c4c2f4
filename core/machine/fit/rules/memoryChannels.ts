import { modulesOf } from '../sums'
import { add, cite, citeAll, replace, type FitRule } from '../rule'

export const memoryChannels: FitRule = {
  id: 'memory-channels',
  area: 'platform',
  severity: 'costs',
  question: 'Are both memory channels used?',
  reads: [
    { role: 'memory', facts: ['kitCount', 'memoryGeneration', 'capacityGb'] },
    { role: 'motherboard', facts: ['memorySlots'] },
  ],
  concerns: (machine) => machine.all('motherboard').every((board) => (board.facts.memorySlots ?? 2) >= 2),
  check: (machine) =>
    modulesOf(machine) !== 1
      ? []
      : machine.all('motherboard').map((board) => {
          const [memory] = machine.all('memory') as [ReturnType<typeof machine.all>[number]]
          return {
            what: 'One module uses one of two channels: about 12 % more CPU time per frame',
            why: [citeAll(machine.all('memory'), 'modules', '1'), cite(board, 'memorySlots')],
            fixes: [
              add(
                'memory',
                `a second ${memory.facts.capacityGb} GB module`,
                (part) =>
                  part.facts.kitCount === 1 &&
                  part.facts.capacityGb === memory.facts.capacityGb &&
                  part.facts.memoryGeneration === memory.facts.memoryGeneration &&
                  part.facts.module !== 'laptop',
              ),
              replace(
                'memory',
                'a kit of two',
                (part) =>
                  part.facts.kitCount === 2 &&
                  part.facts.memoryGeneration === memory.facts.memoryGeneration &&
                  part.facts.module !== 'laptop' &&
                  (part.facts.capacityGb ?? 0) >= (memory.facts.capacityGb ?? 0),
              ),
            ],
          }
        }),
}
