import { partLabel } from '../../../parts/part'
import { powerDraw } from '../../power/powerDraw'
import { ratedNow, supplyRuleText, wattsWanted } from '../../power/supplySize'
import { citeBrief, cite, replace, type FitRule } from '../rule'

export const supplySize: FitRule = {
  id: 'supply-size',
  area: 'power',
  severity: 'needs',
  question: 'Is the supply as large as your rule asks for?',
  reads: [
    { role: 'supply', facts: ['ratedW'] },
    { role: 'cpu', facts: ['limitW'] },
  ],
  check: (machine) =>
    machine.all('supply').flatMap((supply) => {
      const draw = powerDraw(machine.parts, machine.brief.power)
      const wanted = wattsWanted(machine.brief.supplyRule, draw, machine.parts, machine.brief.power)
      const now = ratedNow(supply, machine.brief.year, machine.brief.power)
      if (now >= wanted) return []
      return [
        {
          what: `${partLabel(supply)} is rated for ${Math.round(now)} W${now < supply.facts.ratedW! ? ' at its age' : ''}; your rule asks for ${Math.ceil(wanted)} W (${supplyRuleText(machine.brief.supplyRule, machine.brief.power)}, ${Math.round(draw.sustained)} W)`,
          why: [cite(supply, 'ratedW'), citeBrief('size of supply', `${Math.ceil(wanted)} W`)] as const,
          ...(now < draw.sustained ? { severity: 'stops' as const } : {}),
          fixes: [
            replace(
              'supply',
              `a supply of ${Math.ceil(wanted)} W`,
              (part) =>
                ratedNow(part, machine.brief.year, machine.brief.power) >= wanted &&
                part.facts.supplyShape === supply.facts.supplyShape,
            ),
            replace(
              'supply',
              'one of another shape',
              (part) =>
                ratedNow(part, machine.brief.year, machine.brief.power) >= wanted &&
                part.facts.supplyShape !== supply.facts.supplyShape,
            ),
          ],
        },
      ]
    }),
}
