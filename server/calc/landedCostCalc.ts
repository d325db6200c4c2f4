import { parseDecimal } from '#core/money/decimal'
import { CoreError } from '#core/errors/coreError'
import { landedCost } from '#core/supply/landed/landedCost'
import type { RebateState } from '#core/supply/landed/rebates'
import type { LandedCostRequest } from '#shared/calc/schemas'

/** `POST /api/calc/landed-cost`: decimal strings in, minor units out. */
export function calcLandedCost(request: LandedCostRequest) {
  const { currency } = request
  const amount = (text: string | undefined, path: string) =>
    text === undefined ? undefined : parseDecimal(text, currency, path)
  const needed = (text: string | undefined, path: string) => amount(text, path) ?? 0
  assertDifferentIds(request.items, 'items')
  assertDifferentIds(request.codes, 'codes')
  const { shipping } = request.source
  const { lines, codesUsed, payNow, afterRebates, expected } = landedCost({
    currency,
    asOf: request.asOf,
    source: {
      ...request.source,
      shipping: {
        kind: shipping.kind,
        ...definedOnly({ freeFrom: amount(shipping.freeFrom, 'source.shipping.freeFrom') }),
        amount: needed(shipping.amount, 'source.shipping.amount'),
      },
    },
    items: request.items.map((item, index) => ({
      ...item,
      price: needed(item.price, `items[${index}].price`),
    })),
    codes: request.codes.map((code, index) => ({
      ...code,
      value:
        code.kind === 'percent'
          ? percentOfCode(code.value, `codes[${index}].value`)
          : needed(code.value, `codes[${index}].value`),
      ...definedOnly({
        minSpend: amount(code.minSpend, `codes[${index}].minSpend`),
        cap: amount(code.cap, `codes[${index}].cap`),
      }),
    })) as Parameters<typeof landedCost>[0]['codes'],
    rebates: request.rebates.map((rebate, index) => ({
      ...rebate,
      amount: needed(rebate.amount, `rebates[${index}].amount`),
      state: rebate.state.replace(' ', '-') as RebateState,
    })),
    extras: request.extras.map((extra, index) => ({
      label: extra.label,
      amount: needed(extra.amount, `extras[${index}].amount`),
    })),
    ...definedOnly({
      import: request.import && {
        ...request.import,
        freeUnder: needed(request.import.freeUnder, 'import.freeUnder'),
      },
      exchangeFeePercent: request.exchangeFeePercent,
      hassle: amount(request.hassle, 'hassle'),
      pickup: request.pickup && {
        km: request.pickup.km,
        hours: request.pickup.hours,
        perKm: needed(request.pickup.perKm, 'pickup.perKm'),
        fare: needed(request.pickup.fare, 'pickup.fare'),
        perHour: needed(request.pickup.perHour, 'pickup.perHour'),
      },
    }),
  })
  return { lines, codesUsed, payNow, afterRebates, expected }
}

function percentOfCode(text: string, path: string): number {
  const value = Number(text)
  if (value > 100) throw new CoreError('bad-percent', { text }, path)
  return value
}

function assertDifferentIds(list: readonly { id: string }[], path: string): void {
  const seen = new Set<string>()
  for (const [index, { id }] of list.entries()) {
    if (seen.has(id)) throw new CoreError('same-id', { id }, `${path}[${index}].id`)
    seen.add(id)
  }
}

/** Leaves out what is undefined, so that defaults inside core apply. */
function definedOnly<T extends object>(values: T): { [K in keyof T]?: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>
  }
}
