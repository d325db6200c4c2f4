import { inUnits } from '#core/money/formatAmount'
import type { WorthRow, WorthView } from '#shared/prices/views'
import { amount, percent, signedPercent } from '~/utils/show'
import type { Working } from './working'

export function worthPriceWorking(row: WorthRow, currency: string): Working {
  return {
    title: `${row.name}: price used`,
    result: amount(row.price, currency),
    formula:
      row.way === 'used'
        ? 'street price at your patience: used is cheaper with fault risk and a new part’s warranty counted'
        : 'cheapest shop, landed: used is excluded, not seen, or no cheaper with fault risk counted',
    lines: [
      {
        label: 'street price',
        value: amount(row.street, currency),
        kind: 'record',
        note: `${row.kept} comps, ${row.grade}`,
      },
      { label: 'new, landed', value: amount(row.fresh, currency), kind: 'lead' },
    ],
  }
}

export function pricePerPointWorking(row: WorthRow, unit: string, currency: string): Working {
  return {
    title: `${row.name}: price per ${unit === 'index' ? 'index point' : unit}`,
    result: inUnits(row.perPoint ?? 0, currency).toFixed(3),
    formula: `price / ${unit}`,
    lines: [
      { label: 'price', value: amount(row.price, currency), kind: row.way === 'used' ? 'record' : 'lead' },
      { label: unit, value: String(row.index), kind: 'assumption', note: 'from the parts library' },
    ],
  }
}

export function stepWorking(row: WorthRow, worth: WorthView, currency: string): Working {
  const { added } = row.step!
  return {
    title: `The step to ${row.name}`,
    result: added ? `+${amount(added.money, currency)}` : 'cheapest',
    formula:
      'compared with the next cheaper part; parts that cost the same or more and gain nothing are left out',
    lines: added
      ? [
          { label: 'price added', value: amount(added.money, currency), kind: 'sum' },
          { label: `${worth.unit} gained`, value: signedPercent(added.indexPercent), kind: 'sum' },
          ...(added.targetPercent === null
            ? []
            : [
                {
                  label: 'gained in the weakest target',
                  value: signedPercent(added.targetPercent),
                  kind: 'estimate' as const,
                  note: `with ${worth.besides}`,
                },
              ]),
          ...(added.perPercent === null
            ? []
            : [
                {
                  label: 'price per percent',
                  value: inUnits(added.perPercent, currency).toFixed(2),
                  kind: 'sum' as const,
                },
              ]),
          ...(row.targetRatio === null
            ? []
            : [
                {
                  label: 'weakest target',
                  value: percent(row.targetRatio),
                  kind: 'estimate' as const,
                  note: '100 % = target just met',
                },
              ]),
        ]
      : [],
  }
}
