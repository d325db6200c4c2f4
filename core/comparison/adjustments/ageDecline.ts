import { Matrix, pseudoInverse } from 'ml-matrix'

/** A part of the library with its street price, age and worth in its role. */
export interface AgedPart {
  readonly role: string
  readonly ageYears: number
  /**
   * Capacity or rating, above 0: what is paid for beside age. Null where newer generations are better by themselves
   * (CPUs, cards): there age alone tells what becomes of a part of its class.
   */
  readonly worth: number | null
  /** Minor units, above 0. */
  readonly street: number
}

/** What sold records say of a role: the share of its value kept a year, and the error of its ln. */
export interface FittedDecline {
  readonly kept: number
  readonly error: number
}

/** Fewer priced parts of a role than this say nothing. */
const fewest = 6

/** The error of a slope is never believed to be less: the parts of a role are not independent of each other. */
const leastError = 0.02

/**
 * How parts lose value with age, from comps: within a role, least squares of ln(street price) on age in years, and on
 * ln(worth) where a capacity is paid for; e^(coefficient of age) is what is kept a year, with the standard error of that
 * coefficient. Roles with fewer than six priced parts or of fewer than three ages are left out.
 */
export function ageDecline(parts: readonly AgedPart[]): Readonly<Record<string, FittedDecline>> {
  const fitted: Record<string, FittedDecline> = {}
  for (const role of [...new Set(parts.map((part) => part.role))]) {
    const own = parts.filter(
      (part) => part.role === role && part.street > 0 && (part.worth === null || part.worth > 0),
    )
    if (own.length < fewest || new Set(own.map((part) => Math.floor(part.ageYears))).size < 3) continue
    const x = new Matrix(
      own.map((part) => [1, part.ageYears, ...(part.worth === null ? [] : [Math.log(part.worth)])]),
    )
    const y = Matrix.columnVector(own.map((part) => Math.log(part.street)))
    const coefficients = pseudoInverse(x).mmul(y)
    const residuals = Matrix.sub(y, x.mmul(coefficients)).to1DArray()
    const freedom = Math.max(1, own.length - x.columns)
    const variance = residuals.reduce((sum, each) => sum + each * each, 0) / freedom
    const covariance = pseudoInverse(x.transpose().mmul(x))
    const error = Math.sqrt(variance * Math.max(0, covariance.get(1, 1)))
    fitted[role] = { kept: Math.exp(coefficients.get(1, 0)), error: Math.max(leastError, error) }
  }
  return fitted
}
