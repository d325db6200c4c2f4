import type { PartFacts } from '../../parts/part'

/** Efficiency at the label's published load shares (20, 50 and 100 %), by 80 PLUS label; without one, an assumption. */
export const efficiencyPoints: Readonly<
  Record<NonNullable<PartFacts['efficiency']>, readonly (readonly [share: number, efficiency: number])[]>
> = {
  none: [
    [0.2, 0.72],
    [0.5, 0.75],
    [1, 0.72],
  ],
  white: [
    [0.2, 0.8],
    [0.5, 0.8],
    [1, 0.8],
  ],
  bronze: [
    [0.2, 0.82],
    [0.5, 0.85],
    [1, 0.82],
  ],
  silver: [
    [0.2, 0.85],
    [0.5, 0.88],
    [1, 0.85],
  ],
  gold: [
    [0.2, 0.87],
    [0.5, 0.9],
    [1, 0.87],
  ],
  platinum: [
    [0.2, 0.9],
    [0.5, 0.92],
    [1, 0.89],
  ],
  titanium: [
    [0.1, 0.9],
    [0.2, 0.92],
    [0.5, 0.94],
    [1, 0.9],
  ],
}

/** No supply of any label does better at any load. */
export const bestEfficiency = Math.max(
  ...Object.values(efficiencyPoints).flatMap((points) => points.map(([, efficiency]) => efficiency)),
)

/**
 * What is drawn wall power, W: DC over the efficiency at that share of the rating, linear between the label's
 * points; below the lowest point the loss in watts stays that point's, above the highest its efficiency.
 *
 * @example wallDraw(300, 600, 'gold') // 333.3: watts at half load, 300 / 0.9
 */
export function wallDraw(
  dcW: number,
  ratedW: number,
  label: NonNullable<PartFacts['efficiency']> = 'none',
): number {
  const [lowest] = efficiencyPoints[label] as [readonly [number, number]]
  const share = dcW / ratedW
  if (share < lowest[0]) return dcW + ratedW * lowest[0] * (1 / lowest[1] - 1)
  return dcW / efficiencyAt(share, label)
}

/** Efficiency of a supply at a share of its rating, linear between the label's points, outside them the nearest point's. */
export function efficiencyAt(share: number, label: NonNullable<PartFacts['efficiency']> = 'none'): number {
  const points = efficiencyPoints[label]
  const highest = points.at(-1)!
  if (share <= points[0]![0]) return points[0]![1]
  if (share >= highest[0]) return highest[1]
  const at = points.findIndex(([next]) => next > share)
  const [[fromShare, from], [toShare, to]] = [points[at - 1]!, points[at]!]
  return from + ((share - fromShare) / (toShare - fromShare)) * (to - from)
}

/** Yearly cost in minor units: wall watts × hours a day × 365, at a tariff a kilowatt hour. */
export function yearlyEnergyCost(wallW: number, hoursPerDay: number, tariffPerKwh: number): number {
  return Math.round((wallW / 1000) * hoursPerDay * 365 * tariffPerKwh)
}

/** The formula in words, for its working. */
export const wallDrawFormula =
  'DC load ÷ efficiency at that share of the rating, from the published points of its 80 PLUS label'
