import { parseDecimal } from '#core/money/decimal'
import { money } from '#core/money/money'
import { chanceWithin, expectedWait, payUpToPrice } from '#core/pricing/patience/patience'
import type { Condition, SoldRecord } from '#core/reading/sales/soldRecord'
import { streetPrice, type Override } from '#core/pricing/street/streetPrice'
import type { SoldRecordInput, StreetPriceRequest } from '#shared/calc/schemas'

/** `POST /api/calc/street-price`: decimal strings in, minor units out. */
export function calcStreetPrice(request: StreetPriceRequest) {
  const { currency } = request.query
  const { variant, ...query } = request.query
  const reading = streetPrice(
    { ...query, conditions: query.conditions.map(plainCondition), ...(variant ? { variant } : {}) },
    request.records.map(readRecord),
    { rates: request.rates, overrides: (request.overrides ?? {}) as Record<string, Override> },
  )
  const inMoney = (amount: number) => money(amount, currency)
  const { marks, interval, trend, flow } = reading
  return {
    kept: reading.kept.map((comp) => ({ ...comp, unitPrice: inMoney(comp.unitPrice) })),
    dropped: reading.dropped,
    marks: marks && {
      patient: inMoney(marks.patient),
      typical: inMoney(marks.typical),
      hurried: inMoney(marks.hurried),
    },
    interval: interval && { low: inMoney(interval.low), high: inMoney(interval.high) },
    effectiveCount: reading.effectiveCount,
    grade: reading.grade,
    trend: trend && {
      percentPer30Days: trend.percentPer30Days,
      low: trend.low,
      high: trend.high,
      direction: trend.direction,
    },
    perDay: reading.perDay,
    byManner: reading.byManner.map((each) => ({ ...each, typical: inMoney(each.typical) })),
    limits: (request.limits ?? []).map(({ price, days }, index) => {
      const limit = parseDecimal(price, currency, `limits[${index}].price`)
      return {
        price: inMoney(limit),
        days,
        probability: chanceWithin(flow, limit, days),
        expectedWaitDays: expectedWait(flow, limit),
      }
    }),
    wishes: (request.wishes ?? []).map(({ probability, days }) => {
      const price = payUpToPrice(flow, probability, days)
      return { probability, days, price: price === null ? null : inMoney(price) }
    }),
  }
}

/** `untested` stands for the condition "damaged or untested". */
function plainCondition(condition: Condition | 'untested'): Condition {
  return condition === 'untested' ? 'damaged' : condition
}

function readRecord(record: SoldRecordInput, index: number): SoldRecord {
  const { quantity, ...rest } = record
  return {
    ...rest,
    condition: plainCondition(record.condition),
    price: parseDecimal(record.price, record.currency, `records[${index}].price`),
    shipping: parseDecimal(record.shipping, record.currency, `records[${index}].shipping`),
    ...(quantity === undefined || quantity === null ? {} : { quantity }),
  }
}
