import { checkFit } from '#core/machine/fit/checkFit'
import type { BuildQuestion } from '#core/planning/buildQuestion'
import type { CarryOut, PlannedOrder } from '#core/planning/planBuild'
import { ratesOf } from '#core/planning/planGround'
import { daysForAllHunts } from '#core/pricing/patience/patience'
import { landedCost } from '#core/supply/landed/landedCost'
import { joinedOrder } from '#core/supply/orders/joinedOrder'

/** What plans of a question come to, by the functions of the receipt, where no build stands behind them. */
export const carriedOutBy =
  (question: BuildQuestion): CarryOut =>
  ({ ways: ids, without }) => {
    const ways = ids.map((id) => question.ways.find((way) => way.id === id)!)
    const bears = new Map(ways.map(({ id, payNow, expected }) => [id, { payNow, expected }]))
    const orders: PlannedOrder[] = []
    for (const { source, name } of question.orders) {
      const own = ways.filter((way) => way.source === source && way.order)
      if (own.length < 2) continue
      const joined = joinedOrder(own.map(({ order }) => order!))
      for (const [index, { id, expected, order }] of own.entries())
        bears.set(id, {
          payNow: joined.shares[index]!,
          expected: joined.expectedShares[index]! + expected - landedCost(order!).expected.amount,
        })
      const { lines, payNow, codesUsed } = joined.landed
      orders.push({
        name,
        wayIds: own.map(({ id }) => id),
        payNow: payNow.amount,
        shipping: lines.find(({ kind }) => kind === 'shipping')?.amount.amount ?? 0,
        codes: codesUsed,
      })
    }
    const parts = [
      ...ways.flatMap(({ id, partIds }) =>
        partIds
          .filter((part) => !without.some((each) => each.way === id && each.part === part))
          .flatMap((part) => question.parts.find((each) => each.id === part) ?? []),
      ),
      ...question.fixed,
    ]
    const { findings, cannotCheck } = checkFit({ parts, brief: question.brief })
    const sum = (figure: 'payNow' | 'expected') =>
      [...bears.values()].reduce((all, each) => all + each[figure], 0)
    return {
      cost: sum('expected'),
      payNow: sum('payNow'),
      ways: [...bears].map(([id, figures]) => ({ id, ...figures })),
      orders,
      ...(ratesOf(question, parts) ?? { fps: null, lows: null }),
      waitDays: daysForAllHunts(ways.flatMap(({ perDay }) => perDay ?? [])),
      uncounted: [],
      findings,
      unchecked: cannotCheck.map(({ what }) => what),
      whole: null,
    }
  }
