import Big from 'big.js'
import { CoreError } from '../../errors/coreError'
import { percentOf, roundAmount } from '../../money/decimal'
import { money, type Currency, type Money } from '../../money/money'
import type { CalendarDate } from '../../time/calendarDate'
import { compareText } from '../../text/compareText'
import { applyCodes, codeApplies, legalCodeSets, type Code, type CodeOutcome } from './codes'
import { rebatesExpected, rebatesInFull, type Rebate } from './rebates'

/** A thing in an order. */
export interface OrderItem {
  readonly id: string
  /** How the waterfall names it; the id where left out. */
  readonly label?: string
  readonly role: string
  /** Price of one, minor units. */
  readonly price: number
  readonly quantity: number
  /** Probability that one of them is faulty, 0 to 1. Default 0. */
  readonly faultProbability?: number
  /** Part of the price that comes back on a fault, 0 to 1. Default 0. */
  readonly recoveredShare?: number
}

/** How a source charges. */
export interface SourceTerms {
  /** Percent on items after codes. 0 for private sales. */
  readonly taxPercent: number
  readonly taxOnShipping: boolean
  readonly shipping: {
    readonly kind: 'none' | 'per-item' | 'per-order'
    /** Minor units. */
    readonly amount: number
    /** Items after codes, before tax, at or above which shipping is free. */
    readonly freeFrom?: number
  }
  /** Percent of items, shipping and tax. */
  readonly paymentFeePercent?: number
}

/** One order: one source, one or more leads. All amounts in minor units of `currency`. */
export interface Order {
  readonly currency: Currency
  readonly asOf: CalendarDate
  readonly source: SourceTerms
  readonly items: readonly OrderItem[]
  readonly codes: readonly Code[]
  readonly rebates: readonly Rebate[]
  readonly extras: readonly { readonly label: string; readonly amount: number }[]
  /** Duty and tax on items after codes (with shipping where the source taxes it), from `freeUnder` on. */
  readonly import?: { readonly dutyPercent: number; readonly taxPercent: number; readonly freeUnder: number }
  readonly exchangeFeePercent?: number
  /** Credit at the till for an old thing; the taxed price falls with it only where the source says so. */
  readonly credit?: { readonly amount: number; readonly lowersTax: boolean }
  /** Cost of dealing with one fault, minor units. */
  readonly hassle?: number
  /** Replaces shipping. `perKm`, `fare`, `perHour` in minor units. */
  readonly pickup?: {
    readonly km: number
    readonly perKm: number
    readonly fare: number
    readonly hours: number
    readonly perHour: number
  }
}

export type LandedLineKind =
  | 'item'
  | 'code'
  | 'credit'
  | 'shipping'
  | 'pickup'
  | 'tax'
  | 'duty'
  | 'import-tax'
  | 'payment-fee'
  | 'exchange-fee'
  | 'extra'

export interface LandedCost {
  /** The waterfall; adds up to the total exactly. Steps of zero are left out, items are not. */
  readonly lines: readonly { readonly label: string; readonly kind: LandedLineKind; readonly amount: Money }[]
  /** Ids of the codes used, in ascending order. */
  readonly codesUsed: readonly string[]
  /** What codes leave of each item, in the order of the items. */
  readonly itemsAfterCodes: readonly number[]
  readonly payNow: Money
  readonly afterRebates: Money
  readonly expected: Money
  /** Expected loss by faults, inside `expected`. */
  readonly faultLoss: Money
}

/** 2^20 sets are tried in about a second; more stackable codes than that on one order is a mistake. */
export const mostStackableCodes = 16

/**
 * The landed cost of an order by docs/formulas.md (Landed cost), with the best legal set of codes found by trying all
 * of them: lowest total, then fewest codes, then smallest list of ids. Fewer codes can be cheaper, since items
 * after codes decide on free shipping.
 *
 * Rounding: each step of the waterfall is rounded once (half away from zero); `expected` is rounded once from exact
 * figures. Fault loss of a line = P · ((1 − recovered) · (line after codes + its tax) + hassle · quantity).
 *
 * @throws CoreError `too-many-codes` above 16 stackable codes that apply
 * @example 120.00 with 30.00 credit at the till, 13 % tax: 105.60; 101.70 where the credit lowers the taxed price
 * @example two items of 100.00, 13 % tax, shipping 9.99 free from 150.00: total 226.00
 */
export function landedCost(order: Order): LandedCost {
  const lines = order.items.map((item) => ({
    id: item.id,
    role: item.role,
    amount: item.price * item.quantity,
  }))
  const usable = order.codes.filter((code) => codeApplies(code, lines, order.asOf))
  if (usable.filter((code) => code.stackable).length > mostStackableCodes) {
    throw new CoreError('too-many-codes', { mostStackableCodes }, 'codes')
  }
  let best: { steps: Step[]; payNow: number; outcome: CodeOutcome; ids: string[] } | undefined
  for (const set of legalCodeSets(usable)) {
    const outcome = applyCodes(set, lines)
    const steps = priceSteps(order, outcome)
    const candidate = {
      steps,
      payNow: steps.reduce((sum, step) => sum + step.amount, 0),
      outcome,
      ids: set.map((code) => code.id).sort(compareText),
    }
    if (best === undefined || isBetter(candidate, best)) best = candidate
  }
  const { steps, payNow, outcome, ids } = best!
  const loss = exactFaultLoss(order, outcome.remaining)
  const currency = order.currency
  return {
    lines: steps.map((step) => ({
      label: step.label,
      kind: step.kind,
      amount: money(step.amount, currency),
    })),
    codesUsed: ids,
    itemsAfterCodes: outcome.remaining,
    payNow: money(payNow, currency),
    afterRebates: money(payNow - rebatesInFull(order.rebates, order.asOf), currency),
    expected: money(
      roundAmount(new Big(payNow).minus(rebatesExpected(order.rebates, order.asOf)).plus(loss)),
      currency,
    ),
    faultLoss: money(roundAmount(loss), currency),
  }
}

interface Step {
  readonly label: string
  readonly kind: LandedLineKind
  readonly amount: number
}

function isBetter(a: { payNow: number; ids: string[] }, b: { payNow: number; ids: string[] }): boolean {
  if (a.payNow !== b.payNow) return a.payNow < b.payNow
  if (a.ids.length !== b.ids.length) return a.ids.length < b.ids.length
  const firstDifference = a.ids.findIndex((id, index) => id !== b.ids[index])
  return firstDifference >= 0 && compareText(a.ids[firstDifference]!, b.ids[firstDifference]!) < 0
}

function priceSteps(order: Order, { remaining, taken }: CodeOutcome): Step[] {
  const { source } = order
  const items = remaining.reduce((sum, amount) => sum + amount, 0)
  const shipping = order.pickup ? 0 : shippingOf(order, items)
  const { amount: credit = 0, lowersTax = false } = order.credit ?? {}
  const taxed = Math.max(0, items - (lowersTax ? credit : 0)) + (source.taxOnShipping ? shipping : 0)
  const tax = percentOf(taxed, source.taxPercent)
  const imported = order.import && items >= order.import.freeUnder ? order.import : undefined
  const duty = imported ? percentOf(taxed, imported.dutyPercent) : 0
  const importTax = imported ? percentOf(taxed + duty, imported.taxPercent) : 0
  const feeBase = items + shipping + tax - credit
  const steps: Step[] = [
    ...order.items.map((item) => ({
      label: item.quantity === 1 ? (item.label ?? item.id) : `${item.quantity} × ${item.label ?? item.id}`,
      kind: 'item' as const,
      amount: item.price * item.quantity,
    })),
    ...taken.map(({ id, amount }) => ({ label: `code ${id}`, kind: 'code' as const, amount: -amount })),
    { label: 'trade-in', kind: 'credit', amount: -credit },
    { label: 'shipping', kind: 'shipping', amount: shipping },
    { label: 'pickup', kind: 'pickup', amount: order.pickup ? pickupCost(order.pickup) : 0 },
    { label: `tax ${source.taxPercent} %`, kind: 'tax', amount: tax },
    { label: 'import duty', kind: 'duty', amount: duty },
    { label: 'import tax', kind: 'import-tax', amount: importTax },
    { label: 'payment fee', kind: 'payment-fee', amount: percentOf(feeBase, source.paymentFeePercent ?? 0) },
    {
      label: 'exchange fee',
      kind: 'exchange-fee',
      amount: percentOf(feeBase, order.exchangeFeePercent ?? 0),
    },
    ...order.extras.map(({ label, amount }) => ({ label, kind: 'extra' as const, amount })),
  ]
  return steps
    .filter((step) => step.kind === 'item' || step.kind === 'extra' || step.amount !== 0)
    .map((step) => ({ ...step, amount: step.amount || 0 }))
}

function shippingOf({ source: { shipping }, items }: Order, itemsAfterCodes: number): number {
  if (shipping.kind === 'none') return 0
  if (shipping.freeFrom !== undefined && itemsAfterCodes >= shipping.freeFrom) return 0
  return shipping.kind === 'per-order'
    ? shipping.amount
    : shipping.amount * items.reduce((sum, item) => sum + item.quantity, 0)
}

/** km × rate + fare + hours × hourly value, rounded once. */
export function pickupCost({ km, perKm, fare, hours, perHour }: NonNullable<Order['pickup']>): number {
  return roundAmount(new Big(km).times(perKm).plus(fare).plus(new Big(hours).times(perHour)))
}

function exactFaultLoss(order: Order, remaining: readonly number[]): Big {
  return order.items.reduce((sum, item, index) => {
    const { faultProbability = 0, recoveredShare = 0, quantity } = item
    const withTax = new Big(remaining[index]!).times(new Big(100).plus(order.source.taxPercent)).div(100)
    const lost = withTax
      .times(new Big(1).minus(recoveredShare))
      .plus(new Big(order.hassle ?? 0).times(quantity))
    return sum.plus(lost.times(faultProbability))
  }, new Big(0))
}

/** The formula in words, for its working. */
export const expectedFormula = 'total − each rebate × its chance + expected fault loss'

/** The formula in words, for its working. */
export const landedFormula =
  'price minus codes, plus shipping, tax and fees of the source; each step rounded once'
