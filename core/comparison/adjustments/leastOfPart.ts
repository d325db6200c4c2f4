import type { Part } from '../../parts/part'
import { drawAt, powerDraw, usbDraw } from '../../machine/power/powerDraw'
import { bestEfficiency, yearlyEnergyCost } from '../../machine/power/wallDraw'
import type { WeighedComponent, WeighingTerms } from '../weighedMachine'
import { faultCostOf } from './rules/faults'
import { valueLeftOf } from './rules/valueLeft'

/**
 * The least that a part adds to the like-for-like cost of any machine it is in: what it enters at, its expected repairs, less
 * what is left of it, and its energy at the best efficiency a supply has. Steps that are switched off count nothing.
 * Rounded down, so that a sum over parts never exceeds the whole. What a search may bound by.
 */
export function leastOfPart(
  part: Part,
  component: WeighedComponent,
  entered: number,
  terms: WeighingTerms,
): number {
  const counts = (step: string) => !terms.off.includes(step)
  const draw = powerDraw([part])
  const dc = (state: 'full' | 'idle') =>
    Math.max(0, drawAt([part], draw, state) - usbDraw(state)) / bestEfficiency
  const yearly =
    yearlyEnergyCost(dc('full'), terms.fullHours, terms.tariff) +
    yearlyEnergyCost(dc('idle'), terms.idleHours, terms.tariff)
  // each of the two yearly figures may have been rounded up by half a unit
  const energy = Math.max(0, (yearly - 1) * terms.years)
  return (
    Math.floor(
      (counts('price') ? entered : 0) +
        (counts('faults') ? faultCostOf(component, terms) : 0) -
        (counts('value-left') ? valueLeftOf(component, terms) : 0) +
        (counts('energy') ? energy : 0),
    ) - 1
  )
}
