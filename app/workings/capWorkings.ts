import { capFormula } from '#core/machine/upgrades/capSplit'
import type { CapSplitView, CapView } from '#shared/brief/views'
import { amount, percent } from '~/utils/show'
import type { Working } from './working'

export function capWorking(cap: CapView, split: CapSplitView): Working {
  const money = (value: number) => amount(value, cap.currency)
  return {
    title: `${split.base.name} with ${split.card.name}`,
    result: money(split.total),
    formula: capFormula,
    lines: [
      ...split.base.parts.map((part) => ({
        label: part.name,
        value: money(part.price),
        kind: 'record' as const,
      })),
      { label: split.card.name, value: money(split.card.price), kind: 'record' },
      ...(split.supply
        ? [{ label: split.supply.name, value: money(split.supply.price), kind: 'record' as const }]
        : []),
      { label: 'reserved for other needs of the brief', value: money(cap.needs), kind: 'own' },
      {
        label: `weakest target: ${split.weakestTarget}`,
        value: percent(split.weakest),
        kind: 'estimate',
        note: '100 % = target just met',
      },
      { label: 'left under the budget', value: money(split.left), kind: 'sum' },
    ],
    change:
      'Each price is the street price at your patience, or the new price where your rules or the risk require it.',
  }
}
