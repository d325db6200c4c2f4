import { compared } from '../../../parts/vocabularies'
import { partLabel } from '../../../parts/part'
import { cite, citeAll, notTold, pairsOf, replace, type FitRule, type Outcome } from '../rule'

/** Some makers of office machines burn their own mark into a CPU: it starts on their boards alone, for ever. */
export const cpuMakeLock: FitRule = {
  id: 'cpu-make-lock',
  area: 'platform',
  severity: 'stops',
  question: 'Is the CPU locked to another brand of board?',
  reads: [
    { role: 'cpu', facts: ['lockedToMake'] },
    { role: 'motherboard', facts: ['socket'] },
  ],
  tellsUnknown: true,
  concerns: (machine) =>
    machine.all('motherboard').length > 0 &&
    machine.all('cpu').some(({ facts }) => (facts.lockedToMake ?? '') !== ''),
  check: (machine) =>
    pairsOf(machine, 'cpu', 'motherboard').flatMap(([cpu, board]): Outcome[] => {
      const lockedTo = cpu.facts.lockedToMake ?? ''
      if (lockedTo === '' || compared(lockedTo) === compared(board.make)) return []
      if (board.make === '') return [notTold(board, 'socket')]
      return [
        {
          what: `${partLabel(cpu)} is locked to ${lockedTo} boards; ${partLabel(board)} is another brand`,
          why: [cite(cpu, 'lockedToMake'), citeAll([board], 'make', board.make)],
          fixes: [
            replace(
              'cpu',
              'a CPU that is not locked',
              ({ facts }) =>
                facts.socket === board.facts.socket &&
                (facts.lockedToMake ?? '') === '' &&
                (facts.cpuIndex ?? 0) >= 0.9 * (cpu.facts.cpuIndex ?? 0),
            ),
          ],
        },
      ]
    }),
}
