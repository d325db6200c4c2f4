import type { Part } from '../../parts/part'

/** A part at what is paid for it today, by the house's rules; minor units. */
export interface PricedPart {
  readonly part: Part
  readonly price: number
  /** The way to get it, in a few words. */
  readonly how?: string
}
