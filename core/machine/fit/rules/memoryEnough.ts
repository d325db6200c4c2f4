import { memoryGbOf } from '../sums'
import { citeAll, replace, type FitRule } from '../rule'

/** What games of today ask for beside the system, GB: with half of it they stutter. */
const wantedGb = 16

/** Memory for games, where there is a card; graphics of the CPU has a rule of its own (`shared-memory`). */
export const memoryEnough: FitRule = {
  id: 'memory-enough',
  area: 'platform',
  severity: 'costs',
  question: 'Is there enough memory for today’s games?',
  reads: [
    { role: 'memory', facts: ['capacityGb'] },
    { role: 'graphics', facts: [] },
  ],
  check(machine) {
    const gigabytes = memoryGbOf(machine)
    if (gigabytes >= wantedGb) return []
    const memory = machine.all('memory')
    return [
      {
        what: `${gigabytes} GB of memory is not enough for today’s games: expect stutter`,
        why: [
          citeAll(memory, 'capacity', `${gigabytes} GB`),
          citeAll(machine.all('graphics'), 'draws', 'games'),
        ],
        ...(gigabytes > wantedGb / 2 ? { severity: 'hints' as const } : {}),
        fixes: [
          replace(
            'memory',
            `${wantedGb} GB`,
            ({ facts }) =>
              (facts.capacityGb ?? 0) >= wantedGb &&
              facts.memoryGeneration === memory[0]!.facts.memoryGeneration &&
              facts.module === memory[0]!.facts.module,
          ),
        ],
      },
    ]
  },
}
