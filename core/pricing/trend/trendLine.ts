import { trendForward } from './trendForward'
import type { Trend } from './trend'

/**
 * The trend as a line to draw: through the typical mark at the comps' weighted mean age, rising or falling by the slope.
 * Empty where the trend is not declared: an unclear one is not drawn.
 *
 * @param comps age in days and weight of each comp
 * @param ages ages at which points are wanted, in days before the reading
 */
export function trendLine(
  trend: Pick<Trend, 'percentPer30Days' | 'direction'> | null,
  typical: number,
  comps: readonly { readonly age: number; readonly weight: number }[],
  ages: readonly number[],
): { readonly age: number; readonly price: number }[] {
  if (!trend || trend.direction === 'unclear' || comps.length === 0) return []
  const total = comps.reduce((sum, comp) => sum + comp.weight, 0)
  const meanAge = comps.reduce((sum, comp) => sum + comp.age * comp.weight, 0) / total
  return ages.map((age) => ({ age, price: typical * trendForward(trend.percentPer30Days, meanAge - age) }))
}
