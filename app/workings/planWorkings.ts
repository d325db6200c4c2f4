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
      : `best found; none costs less than ${amount(plan.bound === null ? null : Math.ceil(plan.bound), currency)}`
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
      ...plan.orders.map(({ name, wayIds, shipping, codes, payNow }) => ({
        label: `${wayIds.length} in one order at ${name}`,
        value: amount(payNow, currency),
        kind: 'sum' as const,
        note: [
          `shipping ${amount(shipping, currency)}, paid once`,
          ...codes.map((code) => `code ${code}`),
          'included in the lines above',
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
        label: 'machines sent back by fit check, frames or order',
        value: String(plan.rounds - 1),
        kind: 'sum',
        note: 'besides pairs excluded from the start',
      },
    ],
    change: 'under Wishes: pin or ban a part, or drop a wish',
  }
}
