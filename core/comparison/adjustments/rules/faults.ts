import { roundHalfAway } from '../../../money/decimal'
import { faultProbability } from '../../../supply/risk/faultRisk'
import type { WeighedComponent, WeighingTerms } from '../../weighedMachine'
import type { StepRule } from '../adjustment'

/**
 * Own fault cost outside warranty: over the years that no warranty covers, the probability of a fault of every part times
 * what a replacement costs. The table's probability is taken for a year's. A machine whose parts are not known counts as
 * one thing of its price.
 */
export const faults: StepRule = {
  id: 'faults',
  label: 'expected repairs',
  amount: (machine, terms) => {
    const whole =
      machine.components.length === 0
        ? faultProbability('donor', machine.kind === 'own' ? 'used' : 'new', terms.faults) *
          machine.price *
          uncovered(machine.warrantyMonths, terms)
        : machine.components.reduce((sum, part) => sum + faultCostOf(part, terms), 0)
    const amount = roundHalfAway(whole)
    return amount === 0
      ? null
      : {
          amount,
          why: `probability of a fault a year × replacement, over the part of ${terms.years} years that no warranty covers, by your table of faults`,
          from: 'assumption',
        }
  },
}

/** Own fault cost of one part over the years, minor units, not rounded. */
export function faultCostOf(part: WeighedComponent, terms: WeighingTerms): number {
  return (
    faultProbability(part.role, part.condition, terms.faults) *
    part.street *
    uncovered(part.warrantyMonths, terms)
  )
}

function uncovered(warrantyMonths: number, { years }: WeighingTerms): number {
  return Math.max(0, years - warrantyMonths / 12)
}
