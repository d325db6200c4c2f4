import { median } from '../../statistics/median'

/** A score of a part, and the index it has already, where it has one. */
export interface PartScore {
  readonly partId: string
  readonly score: number
  readonly index: number | null
}

/** How a table of scores stands to the indexes that are known. */
export interface JoinedScale {
  /** Parts that both know. */
  readonly shared: number
  /** How far the shared ones scatter about the median, as a share; null below three. */
  readonly spread: number | null
  /** Shared parts more than a quarter off the rest, by how much. */
  readonly off: readonly { readonly partId: string; readonly ratio: number }[]
  /** Slope of ln index by ln score; null below six shared parts. */
  readonly slope: number | null
  /** Whether the table stretches or squeezes differences: to be agreed before it is kept. */
  readonly stretches: boolean
  readonly values: readonly {
    readonly partId: string
    readonly index: number
    /** Outside the range of the shared parts: rests on the scale alone. */
    readonly isBeyond: boolean
    /** Below a third of the lowest or above three times the highest index known. */
    readonly isOdd: boolean
  }[]
}

/** From when the scale of a table is doubted; docs/formulas.md (Reading). */
export const scaleRules = {
  off: 0.25,
  slopeFrom: 6,
  spreadFrom: 3,
  slopeLow: 0.9,
  slopeHigh: 1.1,
  oddFrom: 5,
} as const

/**
 * Brings a table of scores onto the scale of the indexes by the median log ratio of the parts they share.
 *
 * @param scores each above zero; less is better where `lessIsBetter`
 * @param base the part that is 100 where nothing is shared; null: then there is no scale
 * @returns null where nothing is shared and no base is given
 * @example joinScale([{ partId: 'a', score: 200, index: 50 }, { partId: 'b', score: 400, index: null }]) // { shared:
 *   1, values: [{ partId: 'a' }, { partId: 'b', index: 100 }] }: factor 0.25
 */
export function joinScale(
  scores: readonly PartScore[],
  { lessIsBetter = false, base = null }: { lessIsBetter?: boolean; base?: string | null } = {},
): JoinedScale | null {
  const merit = ({ score }: PartScore) => (lessIsBetter ? 1 / score : score)
  const shared = scores.filter((each) => each.index !== null)
  const ratios = shared.map((each) => Math.log(each.index! / merit(each)))
  const first = scores.find(({ partId }) => partId === base)
  if (ratios.length === 0 && !first) return null
  const middle = ratios.length > 0 ? median(ratios) : Math.log(100 / merit(first!))
  const slope = slopeOf(shared.map((each) => [Math.log(merit(each)), Math.log(each.index!)] as const))
  const known = shared.map((each) => each.index!)
  const merits = shared.map(merit)
  return {
    shared: shared.length,
    spread:
      ratios.length < scaleRules.spreadFrom
        ? null
        : Math.exp(median(ratios.map((ratio) => Math.abs(ratio - middle)))) - 1,
    off: shared.flatMap((each, at) => {
      const ratio = Math.exp(ratios[at]! - middle)
      return Math.abs(ratio - 1) > scaleRules.off ? [{ partId: each.partId, ratio }] : []
    }),
    slope,
    stretches: slope !== null && (slope < scaleRules.slopeLow || slope > scaleRules.slopeHigh),
    values: scores.map((each) => {
      const index = merit(each) * Math.exp(middle)
      return {
        partId: each.partId,
        index,
        isBeyond:
          merits.length > 0 && (merit(each) < Math.min(...merits) || merit(each) > Math.max(...merits)),
        isOdd: isOddIndex(index, known),
      }
    }),
  }
}

/** Whether an index lies so far from the known ones of its role that it is asked about; never below five of them. */
export function isOddIndex(index: number, known: readonly number[]): boolean {
  return (
    known.length >= scaleRules.oddFrom && (index < Math.min(...known) / 3 || index > Math.max(...known) * 3)
  )
}

function slopeOf(points: readonly (readonly [number, number])[]): number | null {
  if (points.length < scaleRules.slopeFrom) return null
  const mean = (at: 0 | 1) => points.reduce((sum, point) => sum + point[at], 0) / points.length
  const [x, y] = [mean(0), mean(1)]
  const across = points.reduce((sum, point) => sum + (point[0] - x) ** 2, 0)
  return across === 0
    ? null
    : points.reduce((sum, point) => sum + (point[0] - x) * (point[1] - y), 0) / across
}
