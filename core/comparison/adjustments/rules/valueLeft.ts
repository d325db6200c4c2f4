import { roundHalfAway } from '../../../money/decimal'
import type { WeighedComponent, WeighingTerms } from '../../weighedMachine'
import type { StepRule } from '../adjustment'

/** What is left at the end: today's resale of what was counted, times the share that such things keep a year. The same method on every machine. */
export const valueLeft: StepRule = {
  id: 'value-left',
  label: 'resale value at the end',
  amount: (machine, terms) => {
    const { years, keeps, wholeFactor } = terms
    const left =
      machine.components.length === 0
        ? machine.resaleToday * keeps.whole ** years
        : machine.components.reduce((sum, part) => sum + valueLeftOf(part, terms), 0)
    const amount = roundHalfAway(left)
    return amount === 0
      ? null
      : {
          amount: 0 - amount,
          why:
            machine.components.length === 0
              ? `what it fetches today, keeping ${Math.round(100 * keeps.whole)} % a year`
              : `its parts at the street price, ${wholeFactor} as a whole, each losing with age as its kind does`,
          from: 'estimate',
        }
  },
}

/** What is left of one part at the end, minor units, not rounded; nothing of what was not counted. */
export function valueLeftOf(part: WeighedComponent, { years, keeps, wholeFactor }: WeighingTerms): number {
  return part.counted ? wholeFactor * part.street * (keeps[part.role] ?? keeps.whole) ** years : 0
}
