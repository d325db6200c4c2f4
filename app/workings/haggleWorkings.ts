import { aimFormula, walkAwayFormula } from '#core/supply/haggle/haggleSheet'
import type { HaggleView, LeadView } from '#shared/leads/views'
import { amount } from '~/utils/show'
import type { Working } from './working'

export function walkAwayWorking(lead: LeadView, sheet: HaggleView): Working {
  return {
    title: `${lead.title}: walk-away`,
    result: amount(sheet.walkAway, sheet.currency),
    formula: walkAwayFormula,
    lines: [
      {
        label: sheet.alternative?.what ?? 'no alternative',
        value: amount(sheet.alternative?.amount, sheet.buildCurrency),
        kind: sheet.alternative?.leadId ? 'lead' : 'record',
        note: 'best alternative',
      },
      { label: 'expected cost at the ask', value: amount(sheet.costAtAsk, sheet.buildCurrency), kind: 'sum' },
    ],
  }
}

export function aimWorking(lead: LeadView, sheet: HaggleView): Working {
  return {
    title: `${lead.title}: aim`,
    result: amount(sheet.aim, sheet.currency),
    formula: aimFormula,
    lines: [
      { label: 'walk-away', value: amount(sheet.walkAway, sheet.currency), kind: 'sum' },
      { label: 'street price of what is kept', value: amount(sheet.street, sheet.currency), kind: 'record' },
    ],
  }
}

export function openingWorking(lead: LeadView, sheet: HaggleView): Working {
  return {
    title: `${lead.title}: opening`,
    result: amount(sheet.opening, sheet.currency),
    formula:
      sheet.advice === 'take'
        ? 'the next customary step below the ask'
        : '2 · aim − ask, so that meeting half-way lands on the aim; at least 60 % of the ask; rounded down to a customary step (1 under 20, 5 under 200, 10 under 1 000, 50 above) last of all',
    lines: [
      { label: 'aim', value: amount(sheet.aim, sheet.currency), kind: 'sum' },
      {
        label: sheet.askedBy === 'listing' ? 'ask' : 'last counter-offer',
        value: amount(sheet.ask, sheet.currency),
        kind: 'stated',
      },
    ],
  }
}
