/**
 * The highest price, 0 to `top`, at which a cost does not exceed a limit; null where none does. The cost may jump down
 * at thresholds (free shipping, a code's minimum spend), so the highest such price need not follow from a bisection:
 * whole units are tried from the top down, and minor units where a jump inside a unit could hide one.
 *
 * @param costAt cost of the purchase at a price; between jumps it must rise by no more than `steepest` per minor unit
 * @param unit minor units of the unit people haggle in (`moneySize`)
 */
export function highestPriceWithin(
  costAt: (price: number) => number,
  limit: number,
  top: number,
  unit: number,
  steepest = 3,
): number | null {
  for (let end = top; end >= 0; end -= unit) {
    const cost = costAt(end)
    if (cost <= limit) return end
    const start = Math.max(0, end - unit + 1)
    if (unit > 1 && cost <= limit + steepest * unit) {
      for (let price = end - 1; price >= start;) {
        const over = costAt(price) - limit
        if (over <= 0) return price
        // it falls by no more than `steepest` a minor unit
        price -= Math.max(1, Math.ceil(over / steepest))
      }
    }
  }
  // the last unit may end below zero
  return top % unit !== 0 && costAt(0) <= limit ? 0 : null
}
