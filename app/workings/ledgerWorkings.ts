import { resaleFormula } from '#core/ledger/resale'
import type { LedgerView } from '#shared/ledger/views'
import { amount, percent } from '~/utils/show'
import type { Working } from './working'

export function inTheEndWorking({ totals, currency }: LedgerView): Working {
  const money = (value: number) => amount(value, currency)
  return {
    title: 'What it will have cost in the end',
    result: money(totals.inTheEnd),
    formula: 'paid so far − came back + still to pay − to come back',
    lines: [
      { label: 'paid so far', value: money(totals.paid), kind: 'own' },
      { label: 'came back', value: money(-totals.cameBack), kind: 'own' },
      {
        label: 'still to pay: leads at their price, hunts at their limit',
        value: money(totals.due),
        kind: 'lead',
      },
      {
        label: 'to come back: open rebates and returns on their way',
        value: money(-totals.toComeBack),
        kind: 'estimate',
      },
    ],
  }
}

export function resaleWorking({ resale, totals, currency }: LedgerView): Working {
  const money = (value: number) => amount(value, currency)
  return {
    title: 'Whole machine against parting out',
    result: money(resale[resale.better].net),
    formula: resaleFormula,
    lines: [
      { label: 'sum of typical marks', value: money(resale.parting.gross), kind: 'record' },
      { label: 'whole-machine factor', value: percent(resale.wholeFactor), kind: 'assumption' },
      { label: 'whole, net', value: money(resale.whole.net), kind: 'sum' },
      { label: 'parted out, net', value: money(resale.parting.net), kind: 'sum' },
      { label: 'what it costs in the end', value: money(totals.inTheEnd), kind: 'sum' },
      { label: 'hours entered', value: String(totals.hours), kind: 'own' },
    ],
  }
}
