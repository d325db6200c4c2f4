import { partLabel } from '../../../parts/part'
import { add, cite, citeAll, type FitRule } from '../rule'

export const noCooler: FitRule = {
  id: 'no-cooler',
  area: 'heat',
  severity: 'stops',
  question: 'Is there a CPU cooler?',
  reads: [{ role: 'cpu', facts: ['coolerIncluded'] }],
  concerns: (machine) => machine.all('cooler').length === 0,
  check: (machine) =>
    machine
      .all('cpu')
      .filter((cpu) => cpu.facts.coolerIncluded !== true)
      .map((cpu) => ({
        what: `No cooler for ${partLabel(cpu)}: none included, none chosen`,
        why: [
          cite(cpu, 'coolerIncluded'),
          citeAll(
            [cpu],
            'power limit',
            cpu.facts.limitW === undefined ? 'not known' : `${cpu.facts.limitW} W`,
          ),
        ],
        fixes: [
          add(
            'cooler',
            `a cooler for ${cpu.facts.socket ?? 'its socket'}`,
            (part) =>
              (part.facts.coolerSockets ?? []).includes(cpu.facts.socket ?? '') &&
              (part.facts.coolerW ?? 0) >= (cpu.facts.limitW ?? 0),
          ),
        ],
      })),
}
