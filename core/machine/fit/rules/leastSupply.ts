import { partLabel } from '../../../parts/part'
import { cite, citeBrief, replace, type FitRule } from '../rule'

export const leastSupply: FitRule = {
  id: 'least-supply',
  area: 'rules',
  severity: 'costs',
  question: 'Does the PSU meet your minimum wattage?',
  reads: [{ role: 'supply', facts: ['ratedW'] }],
  concerns: (machine) => machine.brief.leastSupplyW !== null,
  check: (machine) =>
    machine
      .all('supply')
      .filter((supply) => supply.facts.ratedW! < machine.brief.leastSupplyW!)
      .map((supply) => ({
        what: `${partLabel(supply)} is rated for ${supply.facts.ratedW} W; your rule asks for ${machine.brief.leastSupplyW} W`,
        why: [cite(supply, 'ratedW'), citeBrief('minimum PSU wattage', `${machine.brief.leastSupplyW} W`)],
        fixes: [
          replace(
            'supply',
            `a ${machine.brief.leastSupplyW} W PSU`,
            (part) =>
              (part.facts.ratedW ?? 0) >= machine.brief.leastSupplyW! &&
              part.facts.supplyShape === supply.facts.supplyShape,
          ),
        ],
      })),
}
