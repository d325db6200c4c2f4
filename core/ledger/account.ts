import Big from 'big.js'
import { roundAmount } from '../money/decimal'
import { money, type Currency, type Money } from '../money/money'
import type { GoneReason, ItemPlace, ItemState } from './itemLife'
import type { ItemPlan } from './itemCosts'
import { scopes, type Scope } from './scopes'

/** Scopes of a budget; each holds the ones before it. */
export const budgetScopes = ['core', 'ready', 'everything'] as const
export type BudgetScope = (typeof budgetScopes)[number]

/** The life of a build. */
export const buildStates = ['planned', 'standing', 'sold', 'apart'] as const
export type BuildState = (typeof buildStates)[number]

/** Kinds of entries that move cash, and the figure each counts in. Entries go by kind, never by sign. */
export const cashKinds = {
  bought: 'out',
  fee: 'out',
  travel: 'out',
  refunded: 'in',
  rebate: 'in',
  sold: 'in',
  'sale-cost': 'in',
  'machine-sold': 'sale',
  'machine-sale-cost': 'sale',
} as const
export type CashKind = keyof typeof cashKinds

/** An entry that stands. A correction has the kind of what it corrects. */
export interface AccountEntry {
  readonly kind: CashKind
  /** Minor units, below zero where money left the builder. */
  readonly cash: number
  readonly scope: Scope
}

/** A thing of mine that belongs to the build, or did. Amounts in minor units. */
export interface AccountItem {
  readonly id: string
  /** The line of the order that brought it; null for what was owned before. */
  readonly lineId: string | null
  readonly scope: Scope
  readonly plan: ItemPlan
  readonly place: ItemPlace
  readonly state: ItemState
  readonly goneBecause: GoneReason | null
  /** Its cost, and what is left of it after refunds and rebates. */
  readonly remaining: number
  /** What it was sold for, net; 0 where it was not. */
  readonly soldFor: number
  /** Fault loss while it is unseen; null: not known. */
  readonly fault: number | null
  /** Its net resale; null: not known. */
  readonly worthToday: number | null
  /** What is expected for it while it is on its way back. */
  readonly expectedBack: number
  /** Whether it is built into the machine. Default false. */
  readonly isOfMachine?: boolean
}

/** What is planned and not paid: a line of a planned order, a hunt, a trip. Amounts in minor units; null: not known. */
export interface AccountPlan {
  readonly id: string
  readonly scope: Scope
  readonly payNow: number | null
  readonly fault: number | null
  readonly worthToday: number | null
  /** Whether it will be built into the machine. Default false. */
  readonly isOfMachine?: boolean
}

/** A rebate or later credit that is open: claimed, or still to be claimed in time. */
export interface OpenRebate {
  /** The line it is on, planned or paid. */
  readonly lineId: string
  readonly amount: number
  readonly chance: number
}

export interface AccountInput {
  readonly currency: Currency
  readonly budget: number
  readonly budgetScope: BudgetScope
  /** Sold or apart: nothing is left to pay, nothing is left to be worth anything. */
  readonly state: BuildState
  readonly entries: readonly AccountEntry[]
  readonly items: readonly AccountItem[]
  readonly planned: readonly AccountPlan[]
  readonly rebates: readonly OpenRebate[]
  /** Remaining cost of the things other builds handed over to this one, and of those it handed on, both frozen. */
  readonly takenOver: number
  readonly handedOn: number
  readonly hours: number
  /**
   * Net resale of the machine as a whole, by sold machines or by the builder's own figure, in place of its parts;
   * null: not known. Left out: each thing by itself.
   */
  readonly machineWorth?: number | null
}

/**
 * The figures of a build, docs/formulas.md (Lives and figures). A figure with an unknown term is null, never a
 * partial sum.
 */
export interface Account {
  readonly cashOut: Money
  readonly cashIn: Money
  readonly sale: Money
  readonly toPay: Money | null
  readonly payNow: Money | null
  readonly toComeBack: Money
  readonly afterRebates: Money | null
  readonly expected: Money | null
  readonly left: Money | null
  readonly lost: Money
  readonly cost: Money
  readonly worthToday: Money | null
  readonly profit: Money | null
  readonly hours: number
}

/**
 * The one definition of a build's figures, read by every screen that shows one of them and by the contract
 * `account`. Pure sums over plain rows; the order of the rows does not matter.
 *
 * @example a machine paid 419.00 in all, sold for 455.00 net after six hours: cashOut 419.00, sale 455.00, toPay 0.00,
 *   cost 419.00, profit 36.00
 */
export function account(input: AccountInput): Account {
  const { currency, items, takenOver, handedOn, hours, state } = input
  const isOver = state === 'sold' || state === 'apart'
  const planned = isOver ? [] : input.planned
  const rebates = standingRebates(input.rebates, items, planned)
  const cashOut = 0 - cashOf(input.entries, 'out')
  const cashIn = cashOf(input.entries, 'in')
  const sale = cashOf(input.entries, 'sale')
  const toPay = sumKnown(planned.map(({ payNow }) => payNow))
  const payNow = plus(cashOut, toPay)
  const toComeBack = sum(rebates.map(({ amount }) => amount)) + sum(items.map(expectedBackOf))
  const afterRebates = plus(payNow, -cashIn - toComeBack)
  const cost = cashOut - cashIn + takenOver - handedOn
  const worthToday = state === 'sold' ? 0 : worthOf(input, planned)
  const value = state === 'sold' ? sale : worthToday
  const inMoney = (amount: number | null) => (amount === null ? null : money(amount, currency))
  return {
    cashOut: money(cashOut, currency),
    cashIn: money(cashIn, currency),
    sale: money(sale, currency),
    toPay: inMoney(toPay),
    payNow: inMoney(payNow),
    toComeBack: money(toComeBack, currency),
    afterRebates: inMoney(afterRebates),
    expected: inMoney(expectedOf(afterRebates, rebates, items, planned)),
    left: inMoney(leftOf(input, planned)),
    lost: money(sum(items.filter(isLoss).map(({ remaining, soldFor }) => remaining - soldFor)), currency),
    cost: money(cost, currency),
    worthToday: inMoney(worthToday),
    profit: inMoney(value === null || toPay === null ? null : value - cost - toPay),
    hours,
  }
}

/** Budget − total + cash in, over the scope that the budget covers. */
function leftOf(
  { budget, budgetScope, entries }: AccountInput,
  planned: readonly AccountPlan[],
): number | null {
  const covers = ({ scope }: { scope: Scope }) => scopes.indexOf(scope) <= budgetScopes.indexOf(budgetScope)
  const covered = entries.filter(covers)
  const toPay = sumKnown(planned.filter(covers).map(({ payNow }) => payNow))
  return plus(budget + cashOf(covered, 'out') + cashOf(covered, 'in'), toPay === null ? null : -toPay)
}

/** After rebates + what is to come back weighed by the chance that it does not + fault losses; rounded once. */
function expectedOf(
  afterRebates: number | null,
  rebates: readonly OpenRebate[],
  items: readonly AccountItem[],
  planned: readonly AccountPlan[],
): number | null {
  const faults = sumKnown([
    ...items.filter(({ place }) => place === 'ordered').map(({ fault }) => fault),
    ...planned.map(({ fault }) => fault),
  ])
  if (afterRebates === null || faults === null) return null
  return roundAmount(
    rebates.reduce(
      (total, { amount, chance }) => total.plus(new Big(amount).times(new Big(1).minus(chance))),
      new Big(afterRebates).plus(faults),
    ),
  )
}

/**
 * A rebate ends with its planned line; on a bought one it is void once every kept thing is on its way back or returned.
 * Of a line that keeps nothing, all things count.
 */
function standingRebates(
  rebates: readonly OpenRebate[],
  items: readonly AccountItem[],
  planned: readonly AccountPlan[],
): OpenRebate[] {
  return rebates.filter(({ lineId }) => {
    const ofLine = items.filter((item) => item.lineId === lineId)
    if (ofLine.length === 0) return planned.some(({ id }) => id === lineId)
    const kept = ofLine.filter(({ plan }) => plan === 'keep')
    return (kept.length > 0 ? kept : ofLine).some(
      ({ place, goneBecause }) => place !== 'returning' && !wentBack.has(goneBecause),
    )
  })
}

const wentBack: ReadonlySet<GoneReason | null> = new Set<GoneReason | null>(['returned', 'cancelled'])
const lostBecause: ReadonlySet<GoneReason | null> = new Set<GoneReason | null>([
  'returned',
  'cancelled',
  'missing',
  'written-off',
])

function isLoss({ state, goneBecause }: AccountItem): boolean {
  return state === 'dead' || lostBecause.has(goneBecause)
}

/**
 * Net resale of what is here or ordered, core and ready, not dead, and of the kept things chosen; of the machine as a
 * whole where that is told, with what is not built into it by itself.
 */
function worthOf({ items, machineWorth }: AccountInput, planned: readonly AccountPlan[]): number | null {
  const live = [
    ...items.filter(({ state, place }) => state !== 'dead' && place !== 'gone' && place !== 'returning'),
    ...planned,
  ].filter(({ scope }) => scope !== 'test')
  const single = machineWorth === undefined ? live : live.filter(({ isOfMachine }) => !isOfMachine)
  return sumKnown([
    ...(single.length === live.length ? [] : [machineWorth!]),
    ...single.map(({ worthToday }) => worthToday),
  ])
}

function expectedBackOf({ place, expectedBack }: AccountItem): number {
  return place === 'returning' ? expectedBack : 0
}

function cashOf(entries: readonly AccountEntry[], figure: (typeof cashKinds)[CashKind]): number {
  return sum(entries.filter(({ kind }) => cashKinds[kind] === figure).map(({ cash }) => cash))
}

function sum(amounts: readonly number[]): number {
  return amounts.reduce((total, amount) => total + amount, 0)
}

function sumKnown(amounts: readonly (number | null)[]): number | null {
  return amounts.reduce<number | null>((total, amount) => plus(total, amount), 0)
}

function plus(a: number | null, b: number | null): number | null {
  return a === null || b === null ? null : a + b
}
