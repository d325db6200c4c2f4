/** Street price figures straight from the definitions, written apart from the code they check: slow and obvious. */

export interface Comp {
  price: number
  weight: number
  /** Date, source and id as one text: the order of equal prices. */
  tie?: string
}

/** Weighted quantile by walking a dense list of (position, price) points. */
export function quantileByDefinition(comps: readonly Comp[], q: number): number {
  const sorted = [...comps].sort(
    (a, b) =>
      a.price - b.price || ((a.tie ?? '') < (b.tie ?? '') ? -1 : (a.tie ?? '') > (b.tie ?? '') ? 1 : 0),
  )
  const total = sorted.reduce((sum, comp) => sum + comp.weight, 0)
  const points = sorted.map((comp, i) => ({
    at: (sorted.slice(0, i + 1).reduce((sum, each) => sum + each.weight, 0) - comp.weight / 2) / total,
    price: comp.price,
  }))
  if (q <= points[0]!.at) return points[0]!.price
  if (q >= points.at(-1)!.at) return points.at(-1)!.price
  const right = points.findIndex((point) => point.at >= q)
  const [a, b] = [points[right - 1]!, points[right]!]
  return a.price * (1 - (q - a.at) / (b.at - a.at)) + b.price * ((q - a.at) / (b.at - a.at))
}

export function medianByDefinition(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted.length % 2 === 1
    ? sorted[(sorted.length - 1) / 2]!
    : (sorted[sorted.length / 2 - 1]! + sorted[sorted.length / 2]!) / 2
}

/** Far from the rest: indices left after at most three passes. */
export function outliersByDefinition(prices: readonly number[]): number[] {
  let left = prices.map((_, i) => i)
  for (let pass = 0; pass < 3 && left.length >= 6; pass += 1) {
    const logs = left.map((i) => Math.log(prices[i]!))
    const m = medianByDefinition(logs)
    const s = Math.max(1.4826 * medianByDefinition(logs.map((x) => Math.abs(x - m))), 0.08)
    const next = left.filter((_, at) => Math.abs(logs[at]! - m) / s <= 3.5)
    if (next.length === left.length) break
    left = next
  }
  return prices.map((_, i) => i).filter((i) => !left.includes(i))
}

/** Theil–Sen on residuals from each manner's median, all pairs of different days. */
export function slopeByDefinition(points: readonly { day: number; price: number; manner: string }[]): number {
  return medianByDefinition(slopesByDefinition(points, residualsByDefinition(points)))
}

type DatedPrice = { day: number; price: number; manner: string }

function slopesByDefinition(points: readonly DatedPrice[], residual: readonly number[]): number[] {
  return points.flatMap((a, i) =>
    points
      .slice(i + 1)
      .flatMap((b, k) => (a.day === b.day ? [] : [(residual[i + 1 + k]! - residual[i]!) / (b.day - a.day)])),
  )
}

function residualsByDefinition(points: readonly DatedPrice[]): number[] {
  const own = (manner: string) =>
    medianByDefinition(
      points.filter((point) => point.manner === manner).map((point) => Math.log(point.price)),
    )
  return points.map((point) => Math.log(point.price) - own(point.manner))
}

/**
 * Sen's interval of the slope: the M₁-th and the (M₂ + 1)-th of the sorted slopes, the variance of S corrected for
 * ties in both.
 */
export function senIntervalByDefinition(points: readonly DatedPrice[]): [number, number] {
  const residual = residualsByDefinition(points)
  const slopes = slopesByDefinition(points, residual).sort((a, b) => a - b)
  const ties = (values: readonly number[]) =>
    values
      .filter((value, i) => values.indexOf(value) === i)
      .map((value) => values.filter((each) => each === value).length)
  const term = (t: number) => t * (t - 1) * (2 * t + 5)
  const n = points.length
  const variance =
    (term(n) -
      [...ties(points.map((point) => point.day)), ...ties(residual)].reduce((sum, t) => sum + term(t), 0)) /
    18
  const c = 1.645 * Math.sqrt(variance)
  const [m1, m2] = [(slopes.length - c) / 2, (slopes.length + c) / 2]
  return [slopes[Math.max(0, Math.round(m1) - 1)]!, slopes[Math.min(slopes.length - 1, Math.round(m2))]!]
}

/** Patience by its three formulas, over a window of days and with a part of the sales caught. */
export function patienceByDefinition(comps: readonly Comp[], windowDays: number, catchShare: number) {
  const total = comps.reduce((sum, comp) => sum + comp.weight, 0)
  const share = (price: number) =>
    comps.filter((comp) => comp.price <= price).reduce((sum, comp) => sum + comp.weight, 0) / total
  const rate = (price: number) => (comps.length / windowDays) * catchShare * share(price)
  return {
    chance: (price: number, days: number) => 1 - Math.exp(-rate(price) * days),
    wait: (price: number) => 1 / rate(price),
    limit: (q: number, days: number) =>
      [...comps]
        .sort((a, b) => a.price - b.price)
        .find(
          (comp) =>
            share(comp.price) >= -Math.log(1 - q) / ((comps.length / windowDays) * catchShare * days) - 1e-12,
        )?.price ?? null,
  }
}
