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

/** Why a single record is left out, before it is compared with other records. */
export interface Verdict {
  readonly reason: DropReason
  readonly detail: string
}

/** A record left out, with the reason and the detail that decided it. */
export interface Dropped {
  readonly id: string
  readonly reason: DropReason
  readonly detail: string
}
