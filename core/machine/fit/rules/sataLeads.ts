import { leadKind, plugsNamed } from '../../power/leadKind'
import { partLabel } from '../../../parts/part'
import { add, cite, citeAll, replace, type FitRule } from '../rule'
import { cabledDrives } from '../sums'

export const sataLeads: FitRule = {
  id: 'sata-leads',
  area: 'connections',
  severity: 'needs',
  question: 'Is there a SATA power connector for every SATA device?',
  reads: [
    { role: 'storage', facts: ['interface'] },
    { role: 'supply', facts: ['sataLeads'] },
  ],
  check: (machine) =>
    machine.all('supply').flatMap((supply) => {
      const taken =
        cabledDrives(machine).length +
        machine
          .all('extra')
          .filter(({ facts }) => leadKind(facts.feedsFrom) === 'sata')
          .reduce((sum, { facts }) => sum + (facts.plugs ?? plugsNamed(facts.feedsFrom)), 0)
      const there =
        supply.facts.sataLeads! +
        machine.all('extra').filter((part) => leadKind(part.facts.feedsTo) === 'sata').length
      if (taken <= there || cabledDrives(machine).length === 0) return []
      return [
        {
          what: `${taken} devices need SATA power; ${partLabel(supply)} has ${supply.facts.sataLeads} connectors`,
          why: [
            citeAll(cabledDrives(machine), 'SATA power connectors needed', String(taken)),
            cite(supply, 'sataLeads'),
          ] as const,
          fixes: [
            add('extra', 'a SATA power splitter', (part) => part.facts.feedsTo === 'sata', {
              limitW: 54,
            }),
            replace(
              'supply',
              `a PSU with ${taken} SATA power connectors`,
              (part) =>
                (part.facts.sataLeads ?? 0) >= taken &&
                part.facts.supplyShape === supply.facts.supplyShape &&
                (part.facts.ratedW ?? 0) >= (supply.facts.ratedW ?? 0),
            ),
          ],
        },
      ]
    }),
}
