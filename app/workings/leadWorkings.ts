import type { LeadView } from '#shared/views'
import { amount, percent } from '~/utils/show'
import type { Working } from './working'

export function landedWorking(lead: LeadView): Working {
  const { landed } = lead.value
  return {
    title: 'Pay now', result: `${amount(landed.payNow.amount, lead.currency)} ${lead.currency}`, formula: 'price, less codes, plus shipping, tax and fees of its source; each step rounded once',
    lines: landed.lines.map((line) => ({ label: line.label, value: amount(line.amount.amount, lead.currency), kind: line.kind === 'item' ? 'stated' as const : 'sum' as const })),
    change: 'Terms of the source are in Sources.',
  }
}

export function faultWorking(lead: LeadView): Working {
  const { landed, faultProbability, recoveredShare } = lead.value
  return {
    title: 'Expected loss by faults', result: amount(landed.faultLoss.amount, lead.currency), formula: 'P(fault) × ((1 − recovered share) × (item after codes + its tax) + hassle)',
    lines: [
      { label: 'P(fault)', value: percent(faultProbability, 1), kind: 'assumption', note: `by role and condition (${lead.condition})` }, { label: 'recovered share', value: percent(recoveredShare), kind: 'assumption', note: 'by what protects the purchase' },
      { label: 'price', value: amount(lead.value.ask, lead.currency), kind: 'stated' },
    ],
  }
}

export function savingWorking(lead: LeadView, currency: string): Working {
  const { street, expected, saving, split } = lead.value
  const resale = split.things.reduce((sum, thing) => sum + thing.netResale.amount, 0)
  return {
    title: 'Saving against the street', result: amount(saving, currency), formula: 'street price of what is kept − (expected cost − net resale of what is sold on)',
    lines: [
      ...lead.things.filter((thing) => thing.plan === 'keep').map((thing) => ({ label: `${thing.name}, typical`, value: amount(thing.street, currency), kind: 'record' as const })),
      { label: 'street price of what is kept', value: amount(street, currency), kind: 'sum' }, { label: 'expected cost', value: amount(expected, currency), kind: 'sum' }, { label: 'net resale', value: amount(resale, currency), kind: 'estimate', note: 'sells with probability 0.9' },
    ],
  }
}
