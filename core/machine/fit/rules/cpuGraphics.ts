import { partLabel } from '../../../parts/part'
import { add, cite, citeAll, replace, type FitRule } from '../rule'

export const cpuGraphics: FitRule = {
  id: 'cpu-graphics',
  area: 'platform',
  severity: 'stops',
  question: 'Is there a graphics output?',
  reads: [{ role: 'cpu', facts: ['integratedGraphics', 'socket'] }],
  concerns: (machine) => machine.all('graphics').length === 0,
  check: (machine) =>
    machine
      .all('cpu')
      .filter((cpu) => !cpu.facts.integratedGraphics)
      .map((cpu) => ({
        what: `${partLabel(cpu)} has no integrated graphics and there is no card: no picture`,
        why: [cite(cpu, 'integratedGraphics'), citeAll([cpu], 'graphics cards', '0')],
        fixes: [
          add('graphics', 'a graphics card', () => true),
          replace(
            'cpu',
            'a CPU with integrated graphics',
            (part) => part.facts.socket === cpu.facts.socket && part.facts.integratedGraphics === true,
            { leavesOpen: 'far lower fps than with a card' },
          ),
        ],
      })),
}
