import { aimFormula, walkAwayFormula } from '#core/supply/haggle/haggleSheet'
import type { HaggleView, LeadView } from '#shared/leads/views'
import { amount } from '~/utils/show'
import type { Working } from './working'

export function walkAwayWorking(lead: LeadView, sheet: HaggleView): Working {
  return {
    title: `${lead.title}: most to pay`,
    result: amount(sheet.walkAway, sheet.currency),
    formula: walkAwayFormula,
    lines: [
      {
        label: sheet.alternative?.what ?? 'no alternative',
        value: amount(sheet.alternative?.amount, sheet.buildCurrency),
        kind: sheet.alternative?.leadId ? 'lead' : 'record',
        note: 'best alternative',
      },
      {
        label: 'expected total at the asking price',
        value: amount(sheet.costAtAsk, sheet.buildCurrency),
        kind: 'sum',
      },
    ],
  }
}

export function aimWorking(lead: LeadView, sheet: HaggleView): Working {
  return {
    title: `${lead.title}: fair offer`,
    result: amount(sheet.aim, sheet.currency),
    formula: aimFormula,
    lines: [
      { label: 'most to pay', value: amount(sheet.walkAway, sheet.currency), kind: 'sum' },
      {
        label: 'the same parts at their patient price, or the best other lead',
        value: amount(sheet.patient, sheet.buildCurrency),
        kind: 'record',
      },
    ],
  }
}

export function openingWorking(lead: LeadView, sheet: HaggleView): Working {
  return {
    title: `${lead.title}: first offer`,
    result: amount(sheet.opening, sheet.currency),
    formula:
      sheet.advice === 'take'
        ? 'next usual price step below the asking price'
        : '2 · fair offer − asking price, so that splitting the difference gives the fair ' +
          'offer; at least 60 % of the asking price; finally rounded down to a usual step (1 ' +
          'under 20, 5 under 200, 10 under 1 000, 50 above)',
    lines: [
      { label: 'fair offer', value: amount(sheet.aim, sheet.currency), kind: 'sum' },
      {
        label: sheet.askedBy === 'listing' ? 'ask' : 'latest counter-offer',
        value: amount(sheet.ask, sheet.currency),
        kind: 'stated',
      },
    ],
  }
}
