/** What a price rule may show; amounts in minor units, null or left out where not known. */
export interface RulePoints {
  readonly marks: { readonly patient: number; readonly typical: number; readonly hurried: number } | null
  readonly ask?: number
  readonly landed?: number
  readonly fresh?: number | null
  /** The builder's own figure. */
  readonly own?: number | null
}

export interface RuleScale {
  at(value: number): number
  readonly ticks: readonly number[]
}

/** Linear scale over everything known, with margins; null where nothing is known. */
export function ruleScale(points: RulePoints, width: number, margin: number): RuleScale | null {
  const values = [
    points.marks?.patient,
    points.marks?.hurried,
    points.ask,
    points.landed,
    points.fresh,
    points.own,
  ].filter((value): value is number => value !== undefined && value !== null)
  if (values.length === 0) return null
  const low = Math.min(...values)
  const high = Math.max(...values)
  const pad = Math.max((high - low) * 0.1, high * 0.03, 1)
  const [from, to] = [Math.max(0, low - pad), high + pad]
  const at = (value: number) => margin + ((value - from) / (to - from)) * (width - 2 * margin)
  const step = niceStep((to - from) / 6)
  const ticks: number[] = []
  for (let tick = Math.ceil(from / step) * step; tick <= to; tick += step) ticks.push(tick)
  return { at, ticks }
}

function niceStep(rough: number): number {
  const power = 10 ** Math.floor(Math.log10(Math.max(rough, 1)))
  return power * ([1, 2, 5, 10].find((factor) => factor * power >= rough) ?? 10)
}
