import { freshFormula, usedFormula } from '#core/supply/ways/newOrUsed'
import type { NewOrUsed } from '#core/supply/ways/newOrUsed'
import type { OfferView } from '#shared/prices/views'
import { amount, percent } from '~/utils/show'
import type { Working } from './working'

export function usedPathWorking(name: string, { used }: NewOrUsed, currency: string): Working {
  return {
    title: `${name}: bought used`,
    result: amount(used?.total, currency),
    formula: usedFormula,
    lines: used
      ? [
          { label: 'street price at your patience', value: amount(used.price, currency), kind: 'record' },
          {
            label: 'P(fault), by role and condition',
            value: percent(used.faultProbability, 1),
            kind: 'assumption',
          },
          {
            label: 'share recovered',
            value: percent(used.recoveredShare),
            kind: 'assumption',
            note: 'private sale without protection',
          },
          { label: 'fault loss', value: amount(used.faultLoss, currency), kind: 'sum' },
        ]
      : [],
  }
}

export function newPathWorking(name: string, { fresh }: NewOrUsed, currency: string): Working {
  return {
    title: `${name}: bought new`,
    result: amount(fresh?.total, currency),
    formula: freshFormula,
    lines: fresh
      ? [
          {
            label: 'cheapest shop, landed',
            value: amount(fresh.price, currency),
            kind: 'lead',
            note: 'with tax and shipping, bought alone',
          },
          { label: 'P(fault), new', value: percent(fresh.faultProbability, 1), kind: 'assumption' },
          { label: 'value of the warranty', value: amount(-fresh.warrantyValue, currency), kind: 'sum' },
        ]
      : [],
  }
}

export function tippingWorking(
  name: string,
  { used, fresh, tippingUsedPrice }: NewOrUsed,
  currency: string,
): Working {
  return {
    title: `${name}: break-even`,
    result: amount(tippingUsedPrice, currency),
    formula:
      '(new, total − P(fault) · hassle) / (1 + P(fault) · (1 − recovered)): the used price at which both cost the same',
    lines: [
      { label: 'new, total', value: amount(fresh?.total, currency), kind: 'sum' },
      { label: 'used today', value: amount(used?.price, currency), kind: 'record' },
    ],
  }
}

export function rhythmWorking(name: string, offer: OfferView, currency: string): Working {
  const rhythm = offer.rhythm!
  return {
    title: `${name}: sales at ${offer.sourceName}`,
    result: rhythm.everyDays === null ? 'no pattern yet' : `every ${rhythm.everyDays.toFixed(0)} days`,
    formula:
      'mean days from the start of one sale to the start of the next; a sale is a run of ' +
      'days at least 3 % below the usual price of the 90 days before',
    lines: [
      {
        label: `usual price (${rhythm.usualBy} of the daily price)`,
        value: amount(rhythm.usual, currency),
        kind: 'record',
      },
      {
        label: 'lowest sale price, held at least two days',
        value: amount(rhythm.floor, currency),
        kind: 'record',
      },
      { label: 'days since the last sale began', value: String(rhythm.sinceLast ?? '—'), kind: 'record' },
      {
        label: 'days to the next, expected',
        value: rhythm.expectedWait === null ? '—' : rhythm.expectedWait.toFixed(0),
        kind: 'estimate',
        note: 'one more full interval once it is overdue',
      },
      ...[...rhythm.sales]
        .reverse()
        .slice(0, 8)
        .map((sale) => ({
          label: `${sale.from} to ${sale.to}`,
          value: amount(sale.lowest, currency),
          kind: 'record' as const,
        })),
    ],
  }
}
