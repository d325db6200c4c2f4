import { partLabel } from '../../../parts/part'
import { cite, citeAll, replace, type FitRule } from '../rule'

/** The plugs of modular leads fit other supplies, and their wires do not: 12 V arrives where 5 V should. */
export const supplyLeads: FitRule = {
  id: 'supply-leads',
  area: 'power',
  severity: 'stops',
  question: 'Are the modular cables the PSU’s own?',
  reads: [{ role: 'supply', facts: ['ownLeads'] }],
  tellsUnknown: true,
  concerns: (machine) => machine.all('supply').some(({ facts }) => facts.ownLeads !== undefined),
  check: (machine) =>
    machine
      .all('supply')
      .filter(({ facts }) => facts.ownLeads === false)
      .map((supply) => ({
        what: `The cables of ${partLabel(supply)} belong to another PSU: they can destroy the board and drives`,
        why: [cite(supply, 'ownLeads'), citeAll([supply], 'leads', 'from another PSU')] as const,
        fixes: [
          replace(
            'supply',
            'a PSU with its own cables',
            (part) =>
              part.facts.ownLeads !== false &&
              part.facts.supplyShape === supply.facts.supplyShape &&
              (part.facts.ratedW ?? 0) >= (supply.facts.ratedW ?? 0),
          ),
        ],
      })),
}
