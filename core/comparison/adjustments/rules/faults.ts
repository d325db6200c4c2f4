import { roundHalfAway } from '../../../money/decimal'
import type { WeighedComponent, WeighingTerms } from '../../weighedMachine'
import { yearlyFault } from '../yearlyFaults'
import type { StepRule } from '../adjustment'

/**
 * Expected repairs: what is likely to be dead on arrival, once, and the faults of the years that no warranty covers, new and
 * used alike: probability a year times what a replacement costs. A machine whose parts are not known counts as one thing of
 * its price.
 */
export const faults: StepRule = {
  id: 'faults',
  label: 'likely repairs',
  amount: (machine, terms) => {
    const yearly =
      machine.components.length === 0
        ? terms.yearly.byKind.whole * machine.price * uncovered(machine.warrantyMonths, terms)
        : machine.components.reduce((sum, part) => sum + faultCostOf(part, terms), 0)
    const arrival = machine.arrivalFault + machine.arrivalShare * machine.price
    const amount = roundHalfAway(arrival + yearly)
    return amount === 0
      ? null
      : {
          amount,
          why:
            `${arrival > 0 ? 'faults on arrival, once, and ' : ''}fault risk per year × ` +
            `replacement cost, for the part of ${terms.years} years without warranty`,
          from: 'assumption',
        }
  },
}

/** Own fault cost of one part over the years, minor units, not rounded. */
export function faultCostOf(part: WeighedComponent, terms: WeighingTerms): number {
  return yearlyFault(part, terms.yearly, terms.year) * part.street * uncovered(part.warrantyMonths, terms)
}

function uncovered(warrantyMonths: number, { years }: WeighingTerms): number {
  return Math.max(0, years - warrantyMonths / 12)
}
