import { partLabel, type Part } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule, notTold, type Outcome } from '../rule'

export const memoryModule: FitRule = {
  id: 'memory-module',
  area: 'platform',
  severity: 'stops',
  question: 'Are the modules the right type for the board?',
  reads: [
    { role: 'memory', facts: ['module'] },
    { role: 'motherboard', facts: ['module', 'formFactor'] },
  ],
  tellsUnknown: true,
  concerns: (machine) => machine.all('memory').length > 0 && machine.all('motherboard').length > 0,
  check: (machine) =>
    pairsOf(machine, 'memory', 'motherboard').flatMap(([memory, board]): Outcome[] => {
      const takes = kindOf(board)
      const { module } = memory.facts
      if (module === undefined) return [notTold(memory, 'module')]
      if (takes === undefined) return [notTold(board, 'module')]
      if (module === takes) return []
      return [
        {
          what: `${partLabel(memory)} is ${memory.facts.module} memory; ${partLabel(board)} takes ${takes} modules`,
          why: [cite(memory, 'module'), cite(board, 'module')],
          fixes: [
            replace(
              'memory',
              `${takes} modules`,
              (part) =>
                part.facts.module === takes && part.facts.memoryGeneration === board.facts.memoryGeneration,
            ),
          ],
        },
      ]
    }),
}

const standardSizes = ['micro-ATX', 'ATX', 'E-ATX']

/** What kind of module a board takes; one of a standard size takes desktop modules unless it states another. */
const kindOf = ({ facts }: Part) =>
  facts.module ?? (standardSizes.includes(facts.formFactor ?? '') ? 'desktop' : undefined)
