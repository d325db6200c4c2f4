import { trendForward } from '../../pricing/trend/trendForward'

/** A threshold of a step that asks for less than this percent of frames would make a percent worth anything. */
const leastThreshold = 0.1

/**
 * What one percent of frames is worth, minor units: a step is worth taking where ten units of money bring `threshold`
 * percent.
 *
 * @param unit minor units of what counts as one unit of money in the currency
 * @example worthOfPercent(2, 100) // 500: ten dollars for two percent
 */
export const worthOfPercent = (threshold: number, unit: number): number =>
  (10 * unit) / Math.max(leastThreshold, threshold)

/** Buying a part now that moves on to the next machine, against waiting with it. Amounts in minor units. */
export interface CarryForward {
  /** What it will then go for used, and new or used when bought then. */
  readonly valueThen: number
  readonly priceThen: number
  /** What having it now costs over waiting: today's price less the price then. */
  readonly costOfNow: number
  readonly framesNow: number
  readonly framesAfter: number
  readonly better: 'now' | 'wait'
}

/**
 * A part that moves to the next machine is calculated forward: frames gained now and after the move, its value then.
 * Waiting is better where the frames gained now are worth less than what waiting saves.
 *
 * @param percentPer30Days the trend of its street price; 0 where none is declared
 * @param framesNow share of frames gained in this machine; `framesAfter` in the next
 * @param perPercent what one percent of frames is worth for the time until the move, minor units
 */
export function carryForward({
  price,
  percentPer30Days,
  months,
  framesNow,
  framesAfter,
  perPercent,
}: {
  readonly price: number
  readonly percentPer30Days: number
  readonly months: number
  readonly framesNow: number
  readonly framesAfter: number
  readonly perPercent: number
}): CarryForward {
  const factor = trendForward(percentPer30Days, (months * 365.25) / 12)
  const priceThen = Math.round(price * factor)
  const costOfNow = price - priceThen
  return {
    valueThen: priceThen,
    priceThen,
    costOfNow,
    framesNow,
    framesAfter,
    better: 100 * framesNow * perPercent >= costOfNow ? 'now' : 'wait',
  }
}
