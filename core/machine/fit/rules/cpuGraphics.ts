import { partLabel } from '../../../parts/part'
import { add, cite, citeAll, replace, type FitRule } from '../rule'

export const cpuGraphics: FitRule = {
  id: 'cpu-graphics',
  area: 'platform',
  severity: 'stops',
  question: 'Is there anything that makes a picture?',
  reads: [{ role: 'cpu', facts: ['integratedGraphics', 'socket'] }],
  concerns: (machine) => machine.all('graphics').length === 0,
  check: (machine) =>
    machine
      .all('cpu')
      .filter((cpu) => !cpu.facts.integratedGraphics)
      .map((cpu) => ({
        what: `${partLabel(cpu)} has no graphics of its own, and there is no card: no picture`,
        why: [cite(cpu, 'integratedGraphics'), citeAll([cpu], 'cards in the machine', '0')],
        fixes: [
          add('graphics', 'a graphics card', () => true),
          replace(
            'cpu',
            'a CPU with graphics of its own',
            (part) => part.facts.socket === cpu.facts.socket && part.facts.integratedGraphics === true,
            { leavesOpen: 'far fewer frames than with a card' },
          ),
        ],
      })),
}
