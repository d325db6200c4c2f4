import { CoreError } from '../../errors/coreError'

/** How often suitable comps come up, and what they went for. */
export interface PriceFlow {
  /** Kept unit prices, ascending, in minor units. */
  readonly prices: ArrayLike<number>
  /** Weight of each kept price. */
  readonly weights: ArrayLike<number>
  /** Kept records a day (λ). */
  readonly perDay: number
  /** Part of suitable sales a builder would get to, 0 to 1. */
  readonly catchShare: number
}

/** F(p): weighted share of comps at or below a price, 0 to 1. */
export function shareAtOrBelow(flow: PriceFlow, price: number): number {
  let below = 0
  let total = 0
  for (let i = 0; i < flow.prices.length; i += 1) {
    total += flow.weights[i]!
    if (flow.prices[i]! <= price) below += flow.weights[i]!
  }
  return total === 0 ? 0 : below / total
}

/** λ·c·F(p): suitable chances a day at or below a price. */
export function chancesPerDay(flow: PriceFlow, price: number): number {
  return flow.perDay * flow.catchShare * shareAtOrBelow(flow, price)
}

/** P(bought at or below `price` within `days`) = 1 − exp(−λ·c·F(p)·T): chances come as a Poisson stream. */
export function chanceWithin(flow: PriceFlow, price: number, days: number): number {
  return -Math.expm1(-chancesPerDay(flow, price) * days)
}

/** Expected wait in days, 1 / (λ·c·F(p)); null where no comp is at or below the price. */
export function expectedWait(flow: PriceFlow, price: number): number | null {
  const rate = chancesPerDay(flow, price)
  return rate > 0 ? 1 / rate : null
}

/**
 * The lowest kept price at which the chance of buying within `days` reaches `probability`; null for "not likely at
 * any price seen" (the share needed exceeds 1, or there is no time).
 */
export function payUpToPrice(flow: PriceFlow, probability: number, days: number): number | null {
  if (!(probability >= 0 && probability <= 1)) {
    throw new CoreError('bad-probability', { probability }, 'probability')
  }
  const rate = flow.perDay * flow.catchShare * days
  if (!(rate > 0) || flow.prices.length === 0) return null
  const needed = -Math.log1p(-probability) / rate
  if (needed > 1) return null
  let total = 0
  for (let i = 0; i < flow.weights.length; i += 1) total += flow.weights[i]!
  let running = 0
  for (let i = 0; i < flow.prices.length; i += 1) {
    running += flow.weights[i]!
    const lastOfItsPrice = i + 1 === flow.prices.length || flow.prices[i + 1] !== flow.prices[i]
    // the sum of all weights may miss 1 by a rounding of the last place
    if (lastOfItsPrice && running / total >= needed - 1e-12) return flow.prices[i]!
  }
  return flow.prices[flow.prices.length - 1]!
}

/**
 * The day T by which all hunts have come in with the given probability: Π(1 − e^(−rᵢT)) = probability, by bisection.
 * @param rates chances a day of each hunt; a rate of 0 never comes in and gives null; none at all gives 0
 */
export function daysForAllHunts(rates: readonly number[], probability = 0.8): number | null {
  if (rates.length === 0) return 0
  if (rates.some((rate) => !(rate > 0))) return null
  const allWithin = (days: number) => rates.reduce((product, rate) => product * -Math.expm1(-rate * days), 1)
  let high = 1
  while (allWithin(high) < probability) high *= 2
  let low = 0
  for (let step = 0; step < 80; step += 1) {
    const middle = (low + high) / 2
    if (allWithin(middle) < probability) low = middle
    else high = middle
  }
  return high
}

/** Probability that all hunts have come in within `days`. */
export function chanceOfAllHunts(rates: readonly number[], days: number): number {
  return rates.reduce((product, rate) => product * -Math.expm1(-rate * days), 1)
}

/** The formula in words, for its working. */
export const payUpToFormula = 'the lowest comp price whose share F satisfies F ≥ −ln(1 − q) / (λ · c · T)'

/** The formula in words, for its working. */
export const chanceFormula =
  '1 − e^(−λ · c · F · T): matching sales come up at random, at the rate seen in the window'
