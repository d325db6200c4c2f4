import type { BuildQuestion } from '#core/planning/buildQuestion'
import type { BuildPlan } from '#core/planning/planBuild'
import { amount } from '~/utils/show'
import type { Working } from './working'

/** What a plan is expected to cost: its ways one by one, and the wishes it was sought under. */
export function planWorking(plan: BuildPlan, question: BuildQuestion): Working {
  const { currency } = question
  const proof =
    plan.status === 'optimal'
      ? 'proven: no other set of the ways costs less and meets the same wishes'
      : 'the best found in the time there was; not proven'
  return {
    title: 'The plan',
    result: `${amount(plan.cost, currency)} expected, ${amount(plan.payNow, currency)} to pay now`,
    formula:
      'the least sum of expected costs over sets of ways that fill every role once, fit together, and meet the wishes; expected = paid now + what a fault or an unpaid rebate is expected to cost − what is sold on',
    lines: [
      ...plan.ways.map((way) => ({
        label: way.text,
        value: amount(way.expected, currency),
        kind: way.perDay === null ? ('lead' as const) : ('estimate' as const),
        note: `${way.from}: ${amount(way.payNow, currency)} to pay now`,
      })),
      ...plan.orders.map(({ name, wayIds, shipping, codes, payNow, saved }) => ({
        label: `${wayIds.length} in one order at ${name}`,
        value: amount(payNow, currency),
        kind: 'sum' as const,
        note: [
          `shipping ${amount(shipping, currency)} once`,
          ...codes.map((code) => `code ${code}`),
          `${amount(saved, currency)} less than one by one; in the lines above`,
        ].join(', '),
      })),
      ...plan.sold.map(({ way, brings }) => ({
        label: `${way.text}, sold`,
        value: `−${amount(brings, currency)}`,
        kind: 'estimate' as const,
        note: 'its typical mark less fee and parcel, at the chance that it sells',
      })),
      { label: 'ways looked through', value: String(question.ways.length), kind: 'sum', note: proof },
      {
        label: 'machines sent back by the fit check',
        value: String(plan.rounds - 1),
        kind: 'sum',
        note: 'beside the pairs that were kept apart from the start',
      },
    ],
    change: 'under Wishes, by a pin or a ban, or by giving one wish up',
  }
}
