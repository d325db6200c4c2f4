import { byHand, cite, replace, type FitRule } from '../rule'

export const memoryMixed: FitRule = {
  id: 'memory-mixed',
  area: 'platform',
  severity: 'hints',
  question: 'Do all modules run at the same speed?',
  reads: [{ role: 'memory', facts: ['speedMts', 'memoryGeneration'] }],
  concerns: (machine) => machine.all('memory').length > 1,
  check(machine) {
    const [first, ...others] = machine.all('memory')
    const other = others.find((each) => each.facts.speedMts !== first?.facts.speedMts)
    if (!first || !other) return []
    return [
      {
        what:
          'Mixed modules run at the slower ' +
          `${Math.min(first.facts.speedMts!, other.facts.speedMts!)} MT/s, and some pairs will not boot`,
        why: [cite(first, 'speedMts'), cite(other, 'speedMts')],
        fixes: [
          byHand('run a memory test with both', 'one hour of memory test', {
            leavesOpen: 'they may not boot together',
          }),
          replace(
            'memory',
            'one matched kit',
            (part) =>
              part.facts.memoryGeneration === first.facts.memoryGeneration &&
              part.facts.module !== 'laptop' &&
              (part.facts.kitCount ?? 0) >= 2,
          ),
        ],
      },
    ]
  },
}
