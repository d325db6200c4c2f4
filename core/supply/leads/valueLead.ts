import { resaleDefaults, type ResaleAssumptions } from '../../assumptions/groups/resale'
import { convertBack } from '../../money/rates'
import Big from 'big.js'
import { splitLot, type LotPlan, type LotSplit } from '../lots/splitLot'
import type { Condition } from '../../reading/sales/soldRecord'
import type { Currency } from '../../money/money'
import { convertAmount, type RateTable } from '../../money/rates'
import { faultFactorOf, shareLeft, type LeadFact } from '../../reading/listings/completeness'
import { roundAmount, roundHalfAway } from '../../money/decimal'
import type { Role } from '../../parts/part'
import type { Code } from '../landed/codes'
import { faultProbability, type FaultAssumptions, type FaultSign, type Protection } from '../risk/faultRisk'
import { recoveredShare } from '../risk/recoveredShare'
import { landedCost, type LandedCost, type Order, type SourceTerms } from '../landed/landedCost'
import { rebatesExpected, rebatesOpen, type Rebate } from '../landed/rebates'
import type { CalendarDate } from '../../time/calendarDate'

/** A lead with the terms of its source. Amounts in minor units of its currency. */
export interface LeadToValue {
  readonly id: string
  readonly title: string
  readonly price: number
  readonly currency: Currency
  readonly condition: Condition
  /** Delivery as the listing states it; null: by the source's terms. */
  readonly shipping: number | null
  readonly terms: SourceTerms & Pick<Order, 'import' | 'exchangeFeePercent'>
  readonly protection: Protection
  readonly things: readonly {
    readonly partId: string
    readonly role: Role
    readonly quantity: number
    readonly plan: LotPlan
  }[]
  readonly codes: readonly Code[]
  readonly rebates: readonly Rebate[]
  /** What is known of it; left out: nothing was read. */
  readonly facts?: readonly LeadFact[]
  readonly signs?: readonly FaultSign[]
  /** What it makes necessary, in its own currency. */
  readonly extras?: readonly { readonly label: string; readonly amount: number }[]
  /** Credit at the till for an old thing, in its own currency. */
  readonly credit?: NonNullable<Order['credit']>
  /** What fetching it costs, in its own currency; left out: it is sent. */
  readonly pickup?: number
}

/** What a lead costs and is worth, in the build's currency (minor units). */
export interface LeadValue {
  /** The waterfall in the lead's own currency. */
  readonly landed: LandedCost
  /** The lead as an order of its own; leads of one source may be put together. */
  readonly order: Order
  readonly payNow: number
  readonly afterRebates: number
  readonly expected: number
  /** Ask in the build's currency. */
  readonly ask: number
  /** Probability that the lead's main thing is faulty, over its things weighted by street price. */
  readonly faultProbability: number
  readonly recoveredShare: number
  /** Share of its street price that each thing is worth by the facts, in the order of the things. */
  readonly worthShares: readonly number[]
  /** What the facts take off the street price of each thing, all pieces of it; null where it has none. */
  readonly lost: readonly (number | null)[]
  /** How the cost is shared among its things; resale at the street price. */
  readonly split: LotSplit
  /** Expected from selling on what is not kept. */
  readonly resale: number
  /** Expected cost once that is sold. */
  readonly expectedAfterResale: number
  /** Rebates still to come back, in full. */
  readonly openRebates: number
  /** What its rebates are expected to bring, paid ones included. */
  readonly rebatesExpected: number
  /** Street price of what is kept; null where one of the kept things has none. */
  readonly street: number | null
  /** Street price less what the kept things effectively cost (expected); null where street is. */
  readonly saving: number | null
}

export interface LeadContext {
  readonly currency: Currency
  readonly today: CalendarDate
  readonly rates: RateTable
  /** Typical street price by part, in the build's currency; null where there are no comps. */
  readonly streetOf: (partId: string) => number | null
  readonly assumptions: FaultAssumptions
  readonly resale?: ResaleAssumptions
}

/**
 * Values one lead as an order of its own: landed cost with code and rebate, fault loss from the table, and the split
 * of a lot. Totals are converted at today's rate, each rounded once. Fault probability of a lead of several things is
 * their mean weighted by street price (equal weights where none is known). What is missing or denied lowers what a
 * thing is worth here, not what it costs; signs and denials raise the probability of a fault.
 */
export function valueLead(lead: LeadToValue, context: LeadContext): LeadValue {
  const { assumptions, streetOf } = context
  const worthShares = lead.things.map((thing) => shareLeft(lead.facts ?? [], thing.role))
  const weights = lead.things.map((thing, index) =>
    roundHalfAway((streetOf(thing.partId) ?? 0) * thing.quantity * worthShares[index]!),
  )
  const totalWeight = weights.reduce((sum, weight) => sum + weight, 0)
  const probability = lead.things.reduce((sum, thing, index) => {
    const share = totalWeight > 0 ? weights[index]! / totalWeight : 1 / lead.things.length
    return (
      sum +
      share *
        faultProbability(
          thing.role,
          lead.condition,
          assumptions,
          lead.signs,
          faultFactorOf(lead.facts ?? [], thing.role),
        )
    )
  }, 0)
  const recovered = recoveredShare(lead.condition, lead.protection, assumptions)
  const order = orderOfLead(lead, probability, recovered, context)
  const landed = landedCost(order)
  const rate = context.rates.rateOn(context.today, lead.currency, context.currency)
  const inBuild = (amount: number) =>
    lead.currency === context.currency ? amount : convertAmount(amount, lead.currency, context.currency, rate)
  const expected = inBuild(landed.expected.amount)
  const { sells } = context.resale ?? resaleDefaults
  const split = splitLot(
    context.currency,
    inBuild(landed.payNow.amount),
    lead.things.map((thing, index) => ({
      id: `${index}`,
      streetPrice: weights[index]!,
      plan: thing.plan,
      sellsProbability: sells,
    })),
  )
  const keptKnown =
    lead.things.length > 0 &&
    lead.things.every((thing) => thing.plan !== 'keep' || streetOf(thing.partId) !== null)
  const street = keptKnown ? split.boughtSinglyTotal.amount : null
  const resale = split.things.reduce((sum, thing) => sum + thing.netResale.amount, 0)
  return {
    landed,
    order,
    payNow: inBuild(landed.payNow.amount),
    afterRebates: inBuild(landed.afterRebates.amount),
    expected,
    ask: inBuild(lead.price),
    faultProbability: new Big(probability).round(6).toNumber(),
    recoveredShare: recovered,
    worthShares,
    lost: lead.things.map(({ partId, quantity }, index) => {
      const one = streetOf(partId)
      return one === null ? null : one * quantity - weights[index]!
    }),
    split,
    resale,
    expectedAfterResale: expected - resale,
    openRebates: inBuild(rebatesOpen(lead.rebates, context.today)),
    rebatesExpected: inBuild(roundAmount(rebatesExpected(lead.rebates, context.today))),
    street,
    saving: street === null ? null : street - (expected - resale),
  }
}

function orderOfLead(
  lead: LeadToValue,
  faultProbability: number,
  recoveredShare: number,
  { today, currency: buildCurrency, assumptions, rates }: LeadContext,
): Order {
  // dealing with a fault is stated in the build's currency, the order is the seller's
  const inLead = (amount: number) =>
    lead.currency === buildCurrency
      ? amount
      : convertBack(amount, lead.currency, buildCurrency, rates.rateOn(today, lead.currency, buildCurrency))
  return {
    currency: lead.currency,
    asOf: today,
    source:
      lead.shipping === null
        ? lead.terms
        : { ...lead.terms, shipping: { kind: 'per-order' as const, amount: lead.shipping } },
    items: [
      {
        id: lead.id,
        label: lead.title,
        role: lead.things[0]?.role ?? 'extra',
        price: lead.price,
        quantity: 1,
        faultProbability,
        recoveredShare,
      },
    ],
    codes: lead.codes,
    rebates: lead.rebates,
    extras: lead.extras ?? [],
    hassle: inLead(assumptions.hassle),
    ...(lead.pickup === undefined
      ? {}
      : { pickup: { km: 0, perKm: 0, fare: lead.pickup, hours: 0, perHour: 0 } }),
    ...(lead.credit && { credit: lead.credit }),
    ...(lead.terms.import && { import: lead.terms.import }),
    ...(lead.terms.exchangeFeePercent !== undefined &&
      lead.currency !== buildCurrency && { exchangeFeePercent: lead.terms.exchangeFeePercent }),
  }
}
