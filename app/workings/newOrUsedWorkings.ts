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
            label: 'part that comes back',
            value: percent(used.recoveredShare),
            kind: 'assumption',
            note: 'a private sale without protection',
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
          { label: 'P(fault) of a new one', value: percent(fresh.faultProbability, 1), kind: 'assumption' },
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
    title: `${name}: where the choice tips`,
    result: amount(tippingUsedPrice, currency),
    formula:
      '(new, all in − P(fault) · hassle) / (1 + P(fault) · (1 − recovered)): the used price at which both ways cost the same',
    lines: [
      { label: 'new, all in', value: amount(fresh?.total, currency), kind: 'sum' },
      { label: 'used today', value: amount(used?.price, currency), kind: 'record' },
    ],
  }
}

export function rhythmWorking(name: string, offer: OfferView, currency: string): Working {
  const rhythm = offer.rhythm!
  return {
    title: `${name}: sales at ${offer.sourceName}`,
    result: rhythm.everyDays === null ? 'no rhythm yet' : `every ${rhythm.everyDays.toFixed(0)} days`,
    formula:
      'mean of the days from the start of one sale to the start of the next; a sale is a run of days at 3 % or more below what was usual in the 90 days up to it',
    lines: [
      {
        label: `usual price (${rhythm.usualBy} of the daily price)`,
        value: amount(rhythm.usual, currency),
        kind: 'record',
      },
      { label: 'sale floor, held two days or more', value: amount(rhythm.floor, currency), kind: 'record' },
      { label: 'days since the last began', value: String(rhythm.sinceLast ?? '—'), kind: 'record' },
      {
        label: 'days to the next, expected',
        value: rhythm.expectedWait === null ? '—' : rhythm.expectedWait.toFixed(0),
        kind: 'estimate',
        note: 'a whole gap more once it is overdue',
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
