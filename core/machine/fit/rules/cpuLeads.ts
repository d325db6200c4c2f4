import { partLabel, type Part } from '../../../parts/part'
import { leadKind, leadWatts } from '../../power/leadKind'
import { add, cite, notTold, pairsOf, replace, type FitRule, type MachineRead, type Outcome } from '../rule'

const eightPinW = leadWatts.cpu!
const fourPinW = 150

/**
 * An 8-pin CPU lead carries 300 W, a 4-pin one 150 W. A second socket that the CPU's watts do not ask for may stay empty.
 */
export const cpuLeads: FitRule = {
  id: 'cpu-leads',
  area: 'connections',
  severity: 'stops',
  question: 'Does the PSU have the CPU power connectors you need?',
  reads: [
    { role: 'motherboard', facts: ['cpuLeads'] },
    { role: 'supply', facts: ['cpuLeads', 'cpuFourPinLeads'] },
  ],
  tellsUnknown: true,
  concerns: (machine) => machine.all('motherboard').length > 0 && machine.all('supply').length > 0,
  check: (machine) =>
    pairsOf(machine, 'motherboard', 'supply').flatMap(([board, supply]): Outcome[] => {
      const { cpuLeads: eight, cpuFourPinLeads: four } = supply.facts
      const adapters = machine.all('extra').filter(({ facts }) => leadKind(facts.feedsTo) === 'cpu').length
      const wanted = board.facts.cpuLeads
      if (eight !== undefined && wanted !== undefined && eight + adapters >= wanted) return []
      if (eight === undefined && four === undefined) return [notTold(supply, 'cpuLeads')]
      const carries = ((eight ?? 0) + adapters) * eightPinW + (four ?? 0) * fourPinW
      const clash = (what: string, severity: 'stops' | 'hints') => ({
        what,
        severity,
        why: [
          cite(board, 'cpuLeads'),
          cite(supply, eight === undefined ? 'cpuFourPinLeads' : 'cpuLeads'),
        ] as const,
        fixes: fixesFor(wanted ?? 1, supply),
      })
      if (carries === 0)
        return [
          clash(
            `${partLabel(supply)} has no CPU power connector: ${partLabel(board)} will not start`,
            'stops',
          ),
        ]
      const draw = cpuDraw(machine)
      const [cpu] = machine.all('cpu')
      if (draw === null) return cpu ? [notTold(cpu, 'limitW')] : []
      if (draw > carries)
        return [
          clash(
            `The CPU draws ${draw} W; the CPU cables of ${partLabel(supply)} are rated for ${carries} W`,
            'stops',
          ),
        ]
      if (wanted === undefined) return []
      return [
        clash(
          `${partLabel(board)} has ${wanted} 8-pin CPU ${wanted === 1 ? 'socket' : 'sockets'}; ` +
            `${partLabel(supply)} has ${eight ?? 0} 8-pin CPU ` +
            `${eight === 1 ? 'cable' : 'cables'}, enough for ${draw} W`,
          'hints',
        ),
      ]
    }),
}

function cpuDraw(machine: MachineRead): number | null {
  const limits = machine.all('cpu').map(({ facts }) => facts.limitW)
  return limits.length === 0 || limits.some((limit) => limit === undefined)
    ? null
    : limits.reduce<number>((sum, limit) => sum + limit!, 0)
}

const fixesFor = (wanted: number, supply: Part) => [
  add('extra', 'an adapter to a CPU power connector', (part) => leadKind(part.facts.feedsTo) === 'cpu', {
    limitW: 150,
  }),
  replace(
    'supply',
    `a PSU with ${wanted} CPU ${wanted === 1 ? 'cable' : 'cables'}`,
    (part) =>
      (part.facts.cpuLeads ?? 0) >= wanted &&
      part.facts.supplyShape === supply.facts.supplyShape &&
      (part.facts.ratedW ?? 0) >= (supply.facts.ratedW ?? 0),
  ),
]
