import { percentOf } from '../../money/decimal'
import type { WeighedMachine } from '../weighedMachine'

/**
 * What a machine takes to buy, minor units: its price with tax and delivery; delivery that is not stated counts as the
 * usual one, as on the scales.
 *
 * @example 1000.00, tax 13 %, delivery 25.00: 1155.00
 */
export function boughtFor(
  { price, taxPercent, shipping }: Pick<WeighedMachine, 'price' | 'taxPercent' | 'shipping'>,
  usualShipping: number,
): number {
  return price + percentOf(price, taxPercent) + (shipping ?? usualShipping)
}
