import { partLabel } from '../../../parts/part'
import { add, cite, citeAll, type FitRule } from '../rule'

export const noCooler: FitRule = {
  id: 'no-cooler',
  area: 'heat',
  severity: 'stops',
  question: 'Does anything cool the CPU?',
  reads: [{ role: 'cpu', facts: ['coolerIncluded'] }],
  concerns: (machine) => machine.all('cooler').length === 0,
  check: (machine) =>
    machine
      .all('cpu')
      .filter((cpu) => cpu.facts.coolerIncluded !== true)
      .map((cpu) => ({
        what: `Nothing cools ${partLabel(cpu)}: none comes with it, none is chosen`,
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
