/** Why a record does not count, in the order in which the sieve asks. Each is shown to the builder. */
export const dropReasons = [
  'outside-window',
  'condition',
  'manner',
  'missing-word',
  'unwanted-word',
  'wrong-variant',
  'lot',
  'accessory',
  'quantity',
  'make',
  'duplicate',
  'price',
  'outlier',
  'builder',
] as const
export type DropReason = (typeof dropReasons)[number]

/** A record left out, with the reason and the detail that decided it. */
export interface Dropped {
  readonly id: string
  readonly reason: DropReason
  readonly detail: string
}
