import { byHand, cite, replace, type FitRule } from '../rule'

export const memoryMixed: FitRule = {
  id: 'memory-mixed',
  area: 'platform',
  severity: 'hints',
  question: 'Are all modules of one speed?',
  reads: [{ role: 'memory', facts: ['speedMts', 'memoryGeneration'] }],
  concerns: (machine) => machine.all('memory').length > 1,
  check(machine) {
    const [first, ...others] = machine.all('memory')
    const other = others.find((each) => each.facts.speedMts !== first?.facts.speedMts)
    if (!first || !other) return []
    return [
      {
        what: `Mixed modules run at the slower one’s ${Math.min(first.facts.speedMts!, other.facts.speedMts!)} MT/s, and not every pair starts`,
        why: [cite(first, 'speedMts'), cite(other, 'speedMts')],
        fixes: [
          byHand('try them together with a memory test', 'an hour of a memory test', {
            leavesOpen: 'they may not start together',
          }),
          replace(
            'memory',
            'one kit for all',
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
