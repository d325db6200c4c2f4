import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, byHand, type FitRule } from '../rule'
import { heatFactor } from '../sums'

/** A cooler carries its figure in a room of 25 °C; each degree more takes 1.5 %. */
export const coolerCapacity: FitRule = {
  id: 'cooler-capacity',
  area: 'heat',
  severity: 'costs',
  question: 'Can the cooler handle the CPU’s heat at this room temperature?',
  reads: [
    { role: 'cooler', facts: ['coolerW', 'coolerSockets'] },
    { role: 'cpu', facts: ['limitW'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'cooler', 'cpu').flatMap(([cooler, cpu]) => {
      const carries = cooler.facts.coolerW! * heatFactor(machine.brief.roomC)
      if (carries >= cpu.facts.limitW!) return []
      return [
        {
          what:
            `${partLabel(cpu)} gives off ${cpu.facts.limitW} W; ${partLabel(cooler)} handles ` +
            `${Math.round(carries)} W at ${machine.brief.roomC} °C, so it throttles`,
          why: [cite(cooler, 'coolerW'), cite(cpu, 'limitW')] as const,
          ...(carries < 0.6 * cpu.facts.limitW! ? { severity: 'needs' as const } : {}),
          fixes: [
            replace(
              'cooler',
              `a cooler for ${cpu.facts.limitW} W`,
              (part) =>
                (part.facts.coolerW ?? 0) * heatFactor(machine.brief.roomC) >= cpu.facts.limitW! &&
                (part.facts.coolerSockets ?? []).some((socket) =>
                  cooler.facts.coolerSockets!.includes(socket),
                ),
            ),
            byHand(`set the CPU power limit to ${Math.floor(carries)} W`, 'one BIOS setting', {
              limitW: Math.floor(carries),
              leavesOpen: 'slower at full load',
            }),
          ],
        },
      ]
    }),
}
