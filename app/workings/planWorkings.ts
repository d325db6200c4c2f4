import type { BuildQuestion } from '#core/planning/buildQuestion'
import type { BuildPlan } from '#core/planning/planBuild'
import { amount } from '~/utils/show'
import type { Working } from './working'

/** What a plan is expected to cost: its ways one by one, and the wishes it was sought under. */
export function planWorking(plan: BuildPlan, question: BuildQuestion): Working {
  const { currency } = question
  const proof =
    plan.status === 'optimal'
      ? 'proven: no other combination costs less and meets the same wishes'
      : 'best found in the time available; not proven'
  return {
    title: 'The plan',
    result: `expected total ${amount(plan.cost, currency)}, total ${amount(plan.payNow, currency)}`,
    formula:
      'lowest sum of expected totals over combinations that fill every role once, fit ' +
      'together and meet the wishes; expected total = total + expected loss from faults ' +
      'and unpaid rebates − resale',
    lines: [
      ...plan.ways.map((way) => ({
        label: way.text,
        value: amount(way.expected, currency),
        kind: way.perDay === null ? ('lead' as const) : ('estimate' as const),
        note: `${way.from}: total ${amount(way.payNow, currency)}`,
      })),
      ...plan.orders.map(({ name, wayIds, shipping, codes, payNow, saved }) => ({
        label: `${wayIds.length} in one order at ${name}`,
        value: amount(payNow, currency),
        kind: 'sum' as const,
        note: [
          `shipping ${amount(shipping, currency)}, paid once`,
          ...codes.map((code) => `code ${code}`),
          `${amount(saved, currency)} less than bought separately; included in the lines above`,
        ].join(', '),
      })),
      ...plan.sold.map(({ way, brings }) => ({
        label: `${way.text}, sold`,
        value: `−${amount(brings, currency)}`,
        kind: 'estimate' as const,
        note: 'its typical price minus fee and shipping, × the chance to sell',
      })),
      { label: 'options considered', value: String(question.ways.length), kind: 'sum', note: proof },
      {
        label: 'machines rejected by the fit check',
        value: String(plan.rounds - 1),
        kind: 'sum',
        note: 'besides pairs excluded from the start',
      },
    ],
    change: 'under Wishes: pin or ban a part, or drop a wish',
  }
}
