/**
 * Factor on a price if its trend holds for some days: (1 + percent/100)^(days/30).
 *
 * @param percentPer30Days the trend, above −100
 * @param days 0 or more; 0 gives 1
 * @example trendForward(-6, 60) // 0.8836: −6 % in 30 days, over 60
 */
export function trendForward(percentPer30Days: number, days: number): number {
  return (1 + percentPer30Days / 100) ** (days / 30)
}
