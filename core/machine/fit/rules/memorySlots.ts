import { modulesOf } from '../sums'
import { cite, citeAll, replace, type FitRule } from '../rule'

export const memorySlots: FitRule = {
  id: 'memory-slots',
  area: 'platform',
  severity: 'stops',
  question: 'Are there enough memory slots?',
  reads: [
    { role: 'memory', facts: ['kitCount'] },
    { role: 'motherboard', facts: ['memorySlots'] },
  ],
  check: (machine) =>
    machine
      .all('motherboard')
      .filter((board) => modulesOf(machine) > board.facts.memorySlots!)
      .map((board) => ({
        what: `${modulesOf(machine)} modules, ${board.facts.memorySlots} ${board.facts.memorySlots === 1 ? 'slot' : 'slots'}`,
        why: [
          citeAll(machine.all('memory'), 'modules', String(modulesOf(machine))),
          cite(board, 'memorySlots'),
        ],
        fixes: [
          replace(
            'memory',
            `a kit of at most ${board.facts.memorySlots} modules`,
            (part) =>
              part.facts.memoryGeneration === board.facts.memoryGeneration &&
              (part.facts.kitCount ?? 99) <= board.facts.memorySlots!,
          ),
          replace(
            'motherboard',
            `a board with ${modulesOf(machine)} slots`,
            (part) =>
              part.facts.socket === board.facts.socket && (part.facts.memorySlots ?? 0) >= modulesOf(machine),
          ),
        ],
      })),
}
