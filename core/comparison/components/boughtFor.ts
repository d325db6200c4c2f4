import { percentOf } from '../../money/decimal'
import type { WeighedMachine } from '../weighedMachine'

/**
 * What a machine takes to buy, minor units: its price with tax and delivery; delivery that is not stated counts as the
 * usual one, as on the scales.
 *
 * @example boughtFor({ price: 100000, taxPercent: 13, shipping: 2500 }, 0) // 115500
 */
export function boughtFor(
  { price, taxPercent, shipping }: Pick<WeighedMachine, 'price' | 'taxPercent' | 'shipping'>,
  usualShipping: number,
): number {
  return price + percentOf(price, taxPercent) + (shipping ?? usualShipping)
}
