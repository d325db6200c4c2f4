import { percentOf } from '../../money/decimal'
import type { WeighedMachine } from '../weighedMachine'

/**
 * What a machine takes to buy, minor units: its price with tax and delivery. Delivery that is not stated counts as
 * nothing, so this is a least.
 *
 * @example 1000.00, tax 13 %, delivery 25.00: 1155.00
 */
export function boughtFor({
  price,
  taxPercent,
  shipping,
}: Pick<WeighedMachine, 'price' | 'taxPercent' | 'shipping'>): number {
  return price + percentOf(price, taxPercent) + (shipping ?? 0)
}
