import { riskDefaults, type RiskAssumptions } from '../../assumptions/groups/risk'
import { tableOf } from '../../assumptions/tableOf'
import type { PartFacts, Role } from '../../parts/part'

/** Probability of a fault a year, new and used alike: by role, of hard disks, and of whole machines of which no part is known. */
export interface YearlyFaults {
  readonly byKind: Readonly<Partial<Record<Role | 'hdd' | 'whole', number>>> & { readonly whole: number }
  /** Factor from ten years of age on. */
  readonly old: number
}

/** From this age on parts fail more often, years. */
const oldFrom = 10

export const yearlyFaults = (risk: RiskAssumptions = riskDefaults): YearlyFaults => ({
  byKind: tableOf(risk, 'yearly'),
  old: risk.yearlyOld,
})

/**
 * P(fault) of a part in a year of use, whatever its condition was when it was bought.
 *
 * @param year of today
 * @example a graphics card of 2015 in 2026: 0.03 · 2 = 0.06
 */
export function yearlyFault(
  { role, facts }: { readonly role: Role; readonly facts: PartFacts },
  { byKind, old }: YearlyFaults,
  year: number,
): number {
  const base = (facts.drive === 'hdd' ? byKind.hdd : byKind[role]) ?? byKind.whole
  return base * (facts.year !== undefined && year - facts.year >= oldFrom ? old : 1)
}
