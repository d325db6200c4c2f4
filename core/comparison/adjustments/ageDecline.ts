import { comparisonDefaults, type ComparisonAssumptions } from '../../assumptions/groups/comparison'
import { Matrix, pseudoInverse } from 'ml-matrix'

/** A part of the library with its street price, age and worth in its role. */
export interface AgedPart {
  readonly role: string
  readonly ageYears: number
  /** Capacity or rating, above 0: what is paid for beside age. Null where newer generations are better by themselves (CPUs, cards): there age alone tells what becomes of a part of its class. */
  readonly worth: number | null
  /** Minor units, above 0. */
  readonly street: number
}

export interface AgeDecline {
  /** Share of its value that a part keeps over a year, by role. */
  readonly keeps: Readonly<Record<string, number>>
  /** Mean over the roles, weighted by their parts; the default where none could be fitted. */
  readonly whole: number
  readonly parts: number
}

/** Fewer priced parts of a role than this say nothing. */
const fewest = 6

/**
 * How parts lose value with age, from comps: within a role, least squares of ln(street price) on age in years, and on
 * ln(worth) where a capacity is paid for; e^(coefficient of age) is what is kept a year, kept between `comparison.keepsLeast` and `keepsMost`. Roles with fewer than six priced parts
 * or of fewer than three ages are left out.
 */
export function ageDecline(
  parts: readonly AgedPart[],
  { keepsWhole, keepsLeast, keepsMost }: ComparisonAssumptions = comparisonDefaults,
): AgeDecline {
  const keeps: Record<string, number> = {}
  let [sum, weight] = [0, 0]
  for (const role of [...new Set(parts.map((part) => part.role))]) {
    const own = parts.filter(
      (part) => part.role === role && part.street > 0 && (part.worth === null || part.worth > 0),
    )
    if (own.length < fewest || new Set(own.map((part) => Math.floor(part.ageYears))).size < 3) continue
    const x = new Matrix(
      own.map((part) => [1, part.ageYears, ...(part.worth === null ? [] : [Math.log(part.worth)])]),
    )
    const y = Matrix.columnVector(own.map((part) => Math.log(part.street)))
    const kept = Math.exp(pseudoInverse(x).mmul(y).get(1, 0))
    keeps[role] = Math.min(keepsMost, Math.max(keepsLeast, kept))
    sum += keeps[role] * own.length
    weight += own.length
  }
  return { keeps, whole: weight === 0 ? keepsWhole : sum / weight, parts: weight }
}
