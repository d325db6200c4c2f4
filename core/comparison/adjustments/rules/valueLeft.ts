import { roundHalfAway } from '../../../money/decimal'
import type { WeighedComponent, WeighedMachine, WeighingTerms } from '../../weighedMachine'
import type { ValueKind } from '../keptValue'
import type { StepRule } from '../adjustment'

/**
 * What is left at the end: today's resale of what was counted, times the share that such things keep a year. The same method
 * on every machine. Where it is not known what something fetches, the step says nothing, unless it is to be assumed.
 */
export const valueLeft: StepRule = {
  id: 'value-left',
  label: 'resale value at the end',
  amount: (machine, terms) => {
    const unknown = worthUnknown(machine)
    if (unknown.length > 0 && terms.assumedWorth === null) return null
    const { wholeFactor } = terms
    const left =
      machine.components.length === 0
        ? (resaleOf(machine) ?? terms.assumedWorth! * machine.price) *
          keptOver(machine.kind === 'console' ? 'console' : 'whole', terms)
        : machine.components.reduce((sum, part) => sum + valueLeftOf(part, terms), 0)
    const amount = roundHalfAway(left)
    return amount === 0
      ? null
      : {
          amount: 0 - amount,
          why:
            (machine.components.length === 0
              ? 'what it sells for today, minus a share per year'
              : `street price of its parts × ${wholeFactor} for selling it whole, each part losing value at its kind’s rate`) +
            (unknown.length > 0 ? `; resale of ${unknown.join(', ')} assumed, not known` : ''),
          from: unknown.length > 0 ? 'assumption' : 'estimate',
        }
  },
}

/** What is left of one part at the end, minor units, not rounded; nothing of what was not counted. */
export function valueLeftOf(part: WeighedComponent, terms: WeighingTerms): number {
  if (!part.counted) return 0
  const worth = part.worthToday ?? (terms.assumedWorth ?? 0) * part.street
  return terms.wholeFactor * worth * keptOver(valueKindOf(part), terms)
}

/** Things of a machine of which nobody knows what they fetch; the machine itself where none of its parts is known. */
export function worthUnknown(machine: WeighedMachine): string[] {
  if (machine.components.length === 0) return resaleOf(machine) === null ? [machine.name] : []
  return machine.components.flatMap(({ counted, worthToday, label }) =>
    counted && worthToday === null ? [label] : [],
  )
}

/** What stands at home fetches what it is entered at. */
const resaleOf = ({ resaleToday, kind, price }: WeighedMachine) =>
  resaleToday ?? (kind === 'own' ? price : null)

/** As what a part loses value: by its role, a hard disk apart. */
export const valueKindOf = ({ role, facts }: Pick<WeighedComponent, 'role' | 'facts'>): ValueKind =>
  facts.drive === 'hdd' ? 'hdd' : role

const keptOver = (kind: ValueKind, { keeps, years }: WeighingTerms) => (keeps[kind] ?? keeps.whole) ** years
