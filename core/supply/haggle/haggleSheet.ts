import { resaleDefaults } from '../../assumptions/groups/resale'
import { highestPriceWithin } from './highestPriceWithin'
import { customaryStep, roundDownCustomary } from './customaryStep'

/** What a haggle sheet is calculated from. Amounts in minor units of the lead's currency. */
export interface HaggleInput {
  readonly ask: number
  readonly unit: number
  /** Expected cost of the lead at a price: codes, shipping, tax, fees, risk, less what is sold on. */
  readonly costAt: (price: number) => number
  /** Cost of the best alternative: another lead, or the street price at the builder's patience; null where there is none. */
  readonly alternative: number | null
  /**
   * What the kept things cost at their patient marks, corrected for condition and for what is missing, or the best other
   * lead where that is lower; of the same money as `costAt`. Null where it is not known.
   */
  readonly patient: number | null
  /** Lowest opening as a share of the ask, below which it insults. Default: `resale.lowestOpening`. */
  readonly lowestOpening?: number
}

export interface HaggleSheet {
  /** Highest price worth paying; null where no price is, or nothing is known to hold it against. */
  readonly walkAway: number | null
  readonly aim: number | null
  readonly opening: number | null
  /**
   * take: the ask is at or below the aim; haggle: open at `opening`; far-apart: 60 % of the ask is above the aim, so
   * pass, or open at the aim and leave it standing; pass: not worth any price; not-known: nothing to compare with.
   */
  readonly advice: 'take' | 'haggle' | 'far-apart' | 'pass' | 'not-known'
}

/**
 * The haggle sheet of docs/formulas.md (Haggle sheet). Aim: the highest price at which the whole lead costs no more than
 * its kept things at patient marks, by the cost that the walk-away is found by; never above it. Opening = 2 · aim − ask,
 * so that meeting half-way lands on the aim, at least 60 % of the ask, rounded down to a customary step last of all.
 * Where the ask is at or below the aim: the next customary step below the ask, to be offered or not.
 *
 * @example ask 150.00, walk-away 140.00, at patient marks 130.00: aim 130.00, opening 110.00
 */
export function haggleSheet({
  ask,
  unit,
  costAt,
  alternative,
  patient,
  lowestOpening = resaleDefaults.lowestOpening,
}: HaggleInput): HaggleSheet {
  if (alternative === null) return { walkAway: null, aim: null, opening: null, advice: 'not-known' }
  const top = topAbove(costAt, alternative, Math.max(2 * ask, unit))
  const walkAway = highestPriceWithin(costAt, alternative, top, unit)
  if (walkAway === null || walkAway === 0) return { walkAway, aim: null, opening: null, advice: 'pass' }
  const aim =
    patient === null ? walkAway : Math.min(walkAway, highestPriceWithin(costAt, patient, top, unit) ?? 0)
  if (ask <= aim) {
    const below = roundDownCustomary(ask, unit)
    return {
      walkAway,
      aim,
      opening: below < ask ? below : Math.max(0, ask - customaryStep(ask, unit)),
      advice: 'take',
    }
  }
  if (lowestOpening * ask > aim)
    return { walkAway, aim, opening: roundDownCustomary(aim, unit), advice: 'far-apart' }
  const opening = roundDownCustomary(Math.max(2 * aim - ask, lowestOpening * ask), unit)
  return { walkAway, aim, opening, advice: 'haggle' }
}

/** A price at which it costs more than a limit: what is sold on of a lot may carry it far beyond its ask. */
function topAbove(costAt: HaggleInput['costAt'], limit: number, start: number): number {
  let top = start
  while (costAt(top) <= limit && top < Number.MAX_SAFE_INTEGER / 4) top *= 2
  return top
}

/** Walk-away of a machine to be sold on: net resale less what finishing it costs and the margin wanted; never below 0. */
export function walkAwayForResale(netResale: number, finishing: number, margin: number): number {
  return Math.max(0, netResale - finishing - margin)
}

/** The formula in words, for its working. */
export const aimFormula =
  'the highest price at which the expected total is not above the same parts at their patient price, or the best other lead'

/** The formula in words, for its working. */
export const walkAwayFormula =
  'the highest price at which the expected total (code, shipping, tax, risk, minus ' +
  'resale of the rest) is not above the best alternative; every price is tried, since ' +
  'thresholds make the cost jump'
