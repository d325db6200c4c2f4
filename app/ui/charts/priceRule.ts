import { scaleLinear } from 'd3-scale'

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
  const scale = scaleLinear([from, to], [margin, width - margin])
  return { at: scale, ticks: scale.ticks(6) }
}
