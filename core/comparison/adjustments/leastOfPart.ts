import type { Part } from '../../parts/part'
import { drawAt, powerDraw, usbDraw } from '../../machine/power/powerDraw'
import { bestEfficiency } from '../../machine/power/wallDraw'
import type { WeighedComponent, WeighingTerms } from '../weighedMachine'
import { energy, energyOver } from './rules/energy'
import { faultCostOf, faults } from './rules/faults'
import { price } from './rules/price'
import { valueLeft, valueLeftOf } from './rules/valueLeft'

/**
 * The least that a part adds to the like-for-like cost of any machine it is in: what it enters at, its expected repairs, less
 * what is left of it, and its energy at the best efficiency a supply has. Rounded down, so that a sum over parts never
 * exceeds the whole. What a search may bound by.
 *
 * @param counts whether a step counts: not switched off, no figure of the builder's own in its place
 */
export function leastOfPart(
  part: Part,
  component: WeighedComponent,
  entered: number,
  terms: WeighingTerms,
  counts: (step: string) => boolean = (step) => !terms.off.includes(step),
): number {
  return (
    Math.floor(
      (counts(price.id) ? entered : 0) +
        (counts(faults.id) ? faultCostOf(component, terms) : 0) -
        (counts(valueLeft.id) ? valueLeftOf(component, terms) : 0) +
        (counts(energy.id) ? energyOfPart(part, terms) : 0),
    ) - 1
  )
}

/** Energy of what a part draws over the years, at the best efficiency that a supply has; minor units, not rounded. */
export function energyOfPart(
  part: Part,
  terms: Pick<WeighingTerms, 'years' | 'fullHours' | 'idleHours' | 'tariff'>,
): number {
  const draw = powerDraw([part])
  const wall = (state: 'full' | 'idle') =>
    Math.max(0, drawAt([part], draw, state) - usbDraw(state)) / bestEfficiency
  // each of the two yearly figures may have been rounded up by half a unit
  return Math.max(0, energyOver({ full: wall('full'), idle: wall('idle') }, terms) - terms.years)
}
