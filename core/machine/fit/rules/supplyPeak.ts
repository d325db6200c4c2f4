import { partLabel } from '../../../parts/part'
import { powerDraw } from '../../power/powerDraw'
import { ratedNow } from '../../power/supplySize'
import { cite, replace, type FitRule } from '../rule'

export const supplyPeak: FitRule = {
  id: 'supply-peak',
  area: 'power',
  severity: 'stops',
  question: 'Is the supply rated for the card’s short peaks?',
  reads: [
    { role: 'supply', facts: ['ratedW'] },
    { role: 'graphics', facts: ['boardPowerW'] },
  ],
  check: (machine) =>
    machine.all('supply').flatMap((supply) =>
      machine.all('graphics').flatMap((card) => {
        const { peak } = powerDraw(machine.parts, machine.brief.power)
        const now = ratedNow(supply, machine.brief.year, machine.brief.power)
        if (now >= peak) return []
        return [
          {
            what: `Short peaks of ${Math.round(peak)} W with ${partLabel(card)}; ${partLabel(supply)} gives ${Math.round(now)} W and switches off`,
            why: [cite(card, 'boardPowerW'), cite(supply, 'ratedW')] as const,
            fixes: [
              replace(
                'supply',
                `a supply of ${Math.ceil(peak)} W`,
                (part) =>
                  ratedNow(part, machine.brief.year, machine.brief.power) >= peak &&
                  part.facts.supplyShape === supply.facts.supplyShape,
              ),
              replace(
                'supply',
                'one of another shape',
                (part) =>
                  ratedNow(part, machine.brief.year, machine.brief.power) >= peak &&
                  part.facts.supplyShape !== supply.facts.supplyShape,
              ),
              replace(
                'graphics',
                'a card that draws less',
                (part) => (part.facts.boardPowerW ?? Infinity) < card.facts.boardPowerW!,
                { leavesOpen: 'fewer frames' },
              ),
            ],
          },
        ]
      }),
    ),
}
