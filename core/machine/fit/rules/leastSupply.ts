import { partLabel } from '../../../parts/part'
import { cite, citeBrief, replace, type FitRule } from '../rule'

export const leastSupply: FitRule = {
  id: 'least-supply',
  area: 'rules',
  severity: 'costs',
  question: 'Has the supply the watts your rule always asks for?',
  reads: [{ role: 'supply', facts: ['ratedW'] }],
  concerns: (machine) => machine.brief.leastSupplyW !== null,
  check: (machine) =>
    machine
      .all('supply')
      .filter((supply) => supply.facts.ratedW! < machine.brief.leastSupplyW!)
      .map((supply) => ({
        what: `${partLabel(supply)} is rated ${supply.facts.ratedW} W; your rule asks for ${machine.brief.leastSupplyW} W`,
        why: [cite(supply, 'ratedW'), citeBrief('least watts', `${machine.brief.leastSupplyW} W`)],
        fixes: [
          replace(
            'supply',
            `a supply of ${machine.brief.leastSupplyW} W`,
            (part) =>
              (part.facts.ratedW ?? 0) >= machine.brief.leastSupplyW! &&
              part.facts.supplyShape === supply.facts.supplyShape,
          ),
        ],
      })),
}
