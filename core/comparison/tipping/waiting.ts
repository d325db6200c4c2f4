import { roundHalfAway } from '../../money/decimal'
import { likeForLike } from '../adjustments/likeForLike'
import { valueKindOf } from '../adjustments/rules/valueLeft'
import type { WeighedMachine, WeighingTerms } from '../weighedMachine'

/** The other machine now and the build later, against the build now; minor units. */
export interface Waiting {
  /** Like-for-like cost of the build over all the years. */
  readonly buildNow: number
  /** Of the other until it is sold on, its value then taken off. */
  readonly between: number
  /** What the build is taken to cost then. */
  readonly priceThen: number
  /** Like-for-like cost of the build from then on. */
  readonly buildLater: number
  /** Between and build later together. */
  readonly total: number
}

/**
 * What it costs to live with another machine first and to build later. Both ways end on the same day: the years between are
 * the other's like-for-like cost with what it then fetches taken off, the rest is the build's at the price it has come to. That
 * price follows its parts, each of which loses with age as its kind does; what is not known of a part's worth falls as a
 * whole machine does.
 *
 * @param years until the build is bought, above 0 and below `terms.years`
 * @example a build of 600.00 whose parts keep 0.8 a year costs 384.00 after two years
 */
export function waitFor(
  own: WeighedMachine,
  other: WeighedMachine,
  terms: WeighingTerms,
  years: number,
): Waiting {
  const priceThen = roundHalfAway(own.price * shareLeft(own, terms, years))
  const buildNow = likeForLike(own, terms).total
  const between = likeForLike(other, { ...terms, years }).total
  const later = { ...own, price: priceThen }
  const buildLater = likeForLike(later, {
    ...terms,
    years: terms.years - years,
    // own figures were given for the machine of today
    edits: {},
  }).total
  return { buildNow, between, priceThen, buildLater, total: between + buildLater }
}

/** Share of the build's price that such parts cost after so many years: its counted parts by their worth, each as its kind. */
function shareLeft({ components }: WeighedMachine, { keeps }: WeighingTerms, years: number): number {
  const counted = components.filter((part) => part.counted && part.street > 0)
  const all = counted.reduce((sum, part) => sum + part.street, 0)
  return all === 0
    ? keeps.whole ** years
    : counted.reduce(
        (sum, part) => sum + part.street * (keeps[valueKindOf(part)] ?? keeps.whole) ** years,
        0,
      ) / all
}
