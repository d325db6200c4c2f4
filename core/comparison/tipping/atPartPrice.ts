import { roundHalfAway } from '../../money/decimal'
import type { WeighedMachine } from '../weighedMachine'

/** A part of a machine at what it costs now; minor units. */
export interface PartPrice {
  readonly partId: string
  readonly cost: number
  /** What is expected to be lost on it by arriving dead. */
  readonly fault: number
}

/**
 * The machine where one of its parts costs otherwise: what it would cost again, what it fetches and what is lost on it
 * go with its price.
 *
 * @example a card of 100.00 that fetches 80.00, at 150.00: price + 50.00, a replacement 150.00, it fetches 120.00
 */
export function atPartPrice(
  machine: WeighedMachine,
  { partId, cost, fault }: PartPrice,
  price: number,
): WeighedMachine {
  const share = cost === 0 ? 1 : price / cost
  return {
    ...machine,
    price: machine.price - cost + price,
    arrivalFault: machine.arrivalFault + roundHalfAway(fault * (share - 1)),
    components: machine.components.map((each) =>
      each.partId === partId
        ? {
            ...each,
            street: roundHalfAway(each.street * share),
            worthToday: each.worthToday === null ? null : roundHalfAway(each.worthToday * share),
          }
        : each,
    ),
  }
}
