import { roundHalfAway } from '../../money/decimal'
import type { StepRule } from './step'

/** What is left at the end: today's resale of what was counted, times the share that such things keep a year. The same method on every machine. */
export const valueLeft: StepRule = {
  id: 'value-left', label: 'value left at the end',
  amount: (machine, { years, keeps, wholeFactor }) => {
    const counted = machine.components.filter((part) => part.counted)
    const left = machine.components.length === 0
      ? machine.resaleToday * keeps.whole ** years
      : wholeFactor * counted.reduce((sum, part) => sum + part.street * (keeps[part.role] ?? keeps.whole) ** years, 0)
    const amount = roundHalfAway(left)
    return amount === 0 ? null : { amount: 0 - amount, why: machine.components.length === 0 ? `what it fetches today, keeping ${Math.round(100 * keeps.whole)} % a year` : `its parts at the street price, ${wholeFactor} as a whole, each losing with age as its kind does`, from: 'estimate' }
  },
}
