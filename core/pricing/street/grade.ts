/** How far a street price can be trusted. */
export type Grade = 'solid' | 'usable' | 'thin' | 'none'

/**
 * Grade of a street price from its effective count and the relative half-width of its interval.
 * *solid* from 12 and within 10 %, *usable* from 5 and within 20 %, else *thin*; nothing kept: *none*.
 */
export function gradeOf(kept: number, effectiveCount: number, halfWidthShare: number): Grade {
  if (kept === 0) return 'none'
  if (effectiveCount >= 12 && halfWidthShare <= 0.1) return 'solid'
  if (effectiveCount >= 5 && halfWidthShare <= 0.2) return 'usable'
  return 'thin'
}

/** The formula in words, for its working. */
export const gradeFormula =
  'solid: effective count of at least 12 and interval within 10 % of typical; usable: 5 and 20 %; otherwise thin'
