import { partLabel } from '../../../parts/part'
import { powerDraw } from '../../power/powerDraw'
import { ratedNow } from '../../power/supplySize'
import { cite, replace, type FitRule } from '../rule'
import { drawKnown } from '../sums'

/** Peaks of milliseconds, beside the sustained draw: a good supply rides over them, a weak one switches off. */
export const supplyPeak: FitRule = {
  id: 'supply-peak',
  area: 'power',
  severity: 'needs',
  question: 'Is the PSU rated for the card’s power spikes?',
  reads: [{ role: 'supply', facts: ['ratedW'] }],
  concerns: (machine) => machine.all('graphics').length > 0,
  check(machine) {
    const { power, year } = machine.brief
    const { parts, unknown } = drawKnown(machine)
    const { peak, sustained } = powerDraw(parts, power)
    const card = machine.all('graphics')[0]!
    const low = machine.all('supply').filter((supply) => {
      const now = ratedNow(supply, year, power)
      // below the sustained draw another rule has said it
      return now < peak && now >= sustained
    })
    if (low.length === 0) return unknown.length > 0 ? [{ unknown }] : []
    return low.map((supply) => ({
      what:
        `Power spikes reach ${Math.round(peak)} W with ${partLabel(card)}; ` +
        `${partLabel(supply)} is rated for ${Math.round(ratedNow(supply, year, power))} W ` +
        'and may shut down',
      why: [cite(card, 'boardPowerW'), cite(supply, 'ratedW')] as const,
      fixes: [
        replace(
          'supply',
          `a ${Math.ceil(peak)} W PSU`,
          (part) =>
            ratedNow(part, year, power) >= peak && part.facts.supplyShape === supply.facts.supplyShape,
        ),
        replace(
          'supply',
          'one of another form factor',
          (part) =>
            ratedNow(part, year, power) >= peak && part.facts.supplyShape !== supply.facts.supplyShape,
        ),
        replace(
          'graphics',
          'a card that draws less',
          (part) => (part.facts.boardPowerW ?? Infinity) < (card.facts.boardPowerW ?? 0),
          { leavesOpen: 'lower fps' },
        ),
      ],
    }))
  },
}
