import type { LikeForLike } from './adjustments/likeForLike'

/** A budget with its list built by oneself and assembled by a shop; minor units of one currency. */
export interface Tier {
  /** What the build costs until it is ready to use. */
  readonly build: number
  /** The same of the shop's machine, delivery apart. */
  readonly assembled: number
  readonly delivery: number
  /** What having it assembled costs more. */
  readonly difference: number
  /** What the difference pays for an hour of one's own; null where no hours are planned. */
  readonly paysAnHour: number | null
  /** Hours that the difference pays for at what an hour is worth; null where that is nothing. */
  readonly paysForHours: number | null
}

/**
 * One row of the comparison of budgets.
 *
 * @param hours of the builder that go into the build
 * @param perHour what an hour is worth, minor units
 * @example 783.00 against 1082.00 and 125.00 delivery: 424.00 more, 53.00 for each of 8 hours
 */
export function tierOf(
  own: Pick<LikeForLike, 'outlay'>,
  shop: Pick<LikeForLike, 'outlay' | 'steps'>,
  { hours, perHour }: { readonly hours: number; readonly perHour: number },
): Tier {
  const delivery = shop.steps.find(({ id }) => id === 'shipping')?.amount ?? 0
  const difference = shop.outlay - own.outlay
  return {
    build: own.outlay,
    assembled: shop.outlay - delivery,
    delivery,
    difference,
    paysAnHour: hours > 0 ? Math.round(difference / hours) : null,
    paysForHours: perHour > 0 ? difference / perHour : null,
  }
}
