import { CoreError } from '../errors/coreError'
import type { Currency, Money } from '../money/money'
import { money } from '../money/money'
import {
  account,
  type Account,
  type AccountEntry,
  type AccountItem,
  type AccountPlan,
  type BudgetScope,
} from './account'
import { itemCosts, rebateShares, type ItemPlan } from './itemCosts'
import { assertItemCan, type GoneReason, type ItemPlace, type ItemState, type ItemStep } from './itemLife'
import type { Scope } from './scopes'

/** A thing of a paid line. Amounts in minor units of the history's currency. */
export interface HistoryThing {
  readonly id: string
  readonly plan: ItemPlan
  /** What it was worth on the day of payment: by this the line's amount is shared out. */
  readonly worth: number
  readonly fault: number
  /** Its net resale; null: not known. */
  readonly worthToday: number | null
}

export interface PaidLine {
  readonly id: string
  readonly scope: Scope
  readonly amount: number
  readonly things: readonly HistoryThing[]
}

export interface HistoryCost {
  readonly kind: 'fee' | 'travel'
  readonly scope: Scope
  readonly amount: number
}

export interface HistoryRebate {
  /** A paid line, or one still to be paid. */
  readonly line: string
  readonly amount: number
  readonly chance: number
  readonly state: 'open' | 'claimed' | 'paid' | 'refused' | 'missed'
}

export type HistoryEvent =
  | { readonly kind: 'arrived'; readonly thing: string; readonly state: Exclude<ItemState, 'unseen'> }
  | { readonly kind: 'sent-back'; readonly thing: string; readonly expected: number }
  /** `gone`: the thing left for it; otherwise money back for a thing that is kept. */
  | { readonly kind: 'refunded'; readonly thing: string; readonly amount: number; readonly gone: boolean }
  | {
      readonly kind: 'sold'
      readonly thing: string
      readonly price: number
      readonly fee: number
      readonly postage: number
    }
  | { readonly kind: 'written-off'; readonly thing: string }
  /** To another build, at its remaining cost. */
  | { readonly kind: 'handed-on'; readonly thing: string }
  | {
      readonly kind: 'sold-machine'
      readonly price: number
      readonly fee: number
      readonly postage: number
      readonly hours: number
    }

/** What happened to one build, in one currency. */
export interface History {
  readonly currency: Currency
  readonly budget: number
  readonly budgetScope: BudgetScope
  readonly paid: readonly PaidLine[]
  readonly costs: readonly HistoryCost[]
  readonly toPay: readonly AccountPlan[]
  readonly rebates: readonly HistoryRebate[]
  /** In the order in which it happened. */
  readonly events: readonly HistoryEvent[]
}

export interface HistoryItem {
  readonly id: string
  readonly cost: Money
  readonly remaining: Money
  readonly place: 'ordered' | 'here' | 'returning' | 'gone'
  readonly state: ItemState
}

/** A thing while its history is told. */
interface Told {
  readonly line: PaidLine
  readonly thing: HistoryThing
  readonly cost: number
  remaining: number
  place: ItemPlace
  state: ItemState
  goneBecause: GoneReason | null
  isHandedOn: boolean
  soldFor: number
  expectedBack: number
}

interface Telling {
  readonly items: ReadonlyMap<string, Told>
  readonly entries: AccountEntry[]
  isSold: boolean
  handedOn: number
  hours: number
}

/**
 * The account of a build from what happened to it. The events are told one by one by the table of `itemLife`; what it
 * does not allow is refused with the path of the event.
 *
 * @throws CoreError `not-possible`, `unknown-thing`, `unknown-line`, `duplicate-id`
 * @example a CPU paid 45.00 arrives dead, is sent back and refunded 0.00: cashOut 45.00, lost 45.00
 */
export function accountOf(history: History): Account & { readonly items: readonly HistoryItem[] } {
  assertDifferentLines(history)
  const telling = begin(history)
  for (const [index, event] of history.events.entries()) tell(telling, event, `events[${index}]`)
  const { currency, budget, budgetScope, toPay } = history
  const things = [...telling.items.values()]
  return {
    ...account({
      currency,
      budget,
      budgetScope,
      state: telling.isSold ? 'sold' : 'planned',
      entries: telling.entries,
      items: things.map(asAccountItem),
      planned: toPay,
      rebates: history.rebates.flatMap(({ line, amount, chance, state }) =>
        state === 'open' || state === 'claimed' ? [{ lineId: line, amount, chance }] : [],
      ),
      takenOver: 0,
      handedOn: telling.handedOn,
      hours: telling.hours,
    }),
    items: things.map((told) => ({
      id: told.thing.id,
      cost: money(told.cost, currency),
      remaining: money(told.remaining, currency),
      place: told.place === 'build' || told.place === 'shelf' ? 'here' : told.place,
      state: told.state,
    })),
  }
}

function assertDifferentLines({ paid, toPay, rebates }: History): void {
  const lines = new Set<string>()
  const add = (id: string, path: string) => {
    if (lines.has(id)) throw new CoreError('duplicate-line', { id }, path)
    lines.add(id)
  }
  paid.forEach(({ id }, index) => add(id, `paid[${index}].id`))
  toPay.forEach(({ id }, index) => add(id, `toPay[${index}].id`))
  rebates.forEach(({ line }, index) => {
    if (!lines.has(line)) throw new CoreError('unknown-line', { line }, `rebates[${index}].line`)
  })
}

/** Everything as it stands once all is paid and nothing has come; rebates that were paid are off the cost already. */
function begin({ paid, costs, rebates }: History): Telling {
  const items = new Map<string, Told>()
  const entries: AccountEntry[] = costs.map(({ kind, scope, amount }) => ({ kind, scope, cash: -amount }))
  for (const [lineIndex, line] of paid.entries()) {
    entries.push({ kind: 'bought', scope: line.scope, cash: -line.amount })
    const shares = itemCosts(line.amount, line.things)
    for (const [index, thing] of line.things.entries()) {
      if (items.has(thing.id))
        throw new CoreError('duplicate-item', { id: thing.id }, `paid[${lineIndex}].things[${index}].id`)
      const cost = shares[index]!
      items.set(thing.id, {
        line,
        thing,
        cost,
        remaining: cost,
        place: 'ordered',
        state: 'unseen',
        goneBecause: null,
        isHandedOn: false,
        soldFor: 0,
        expectedBack: 0,
      })
    }
  }
  for (const rebate of rebates) if (rebate.state === 'paid') payRebate(rebate, paid, items, entries)
  return { items, entries, isSold: false, handedOn: 0, hours: 0 }
}

function payRebate(
  { line: lineId, amount }: HistoryRebate,
  paid: readonly PaidLine[],
  items: ReadonlyMap<string, Told>,
  entries: AccountEntry[],
): void {
  const line = paid.find(({ id }) => id === lineId)
  entries.push({ kind: 'rebate', scope: line?.scope ?? 'core', cash: amount })
  const told = (line?.things ?? []).map(({ id }) => items.get(id)!)
  const shares = rebateShares(
    amount,
    told.map(({ cost }) => cost),
  )
  told.forEach((each, index) => (each.remaining -= shares[index]!))
}

const stepOf: Readonly<Record<Exclude<HistoryEvent['kind'], 'sold-machine' | 'refunded'>, ItemStep>> = {
  arrived: 'arrive',
  'sent-back': 'sendBack',
  sold: 'sell',
  'written-off': 'writeOff',
  'handed-on': 'move',
}

function tell(telling: Telling, event: HistoryEvent, path: string): void {
  if (event.kind === 'sold-machine') return sellMachine(telling, event, path)
  const told = telling.items.get(event.thing)
  if (!told) throw new CoreError('unknown-thing', { thing: event.thing }, `${path}.thing`)
  const refund = () =>
    !('gone' in event) || !event.gone ? 'refundKept' : told.place === 'ordered' ? 'cancel' : 'refund'
  assertItemCan(event.kind === 'refunded' ? refund() : stepOf[event.kind], told, `"${event.thing}"`, path)
  const { scope } = told.line
  switch (event.kind) {
    case 'arrived':
      told.place = 'build'
      told.state = event.state
      return
    case 'sent-back':
      told.place = 'returning'
      told.expectedBack = event.expected
      return
    case 'refunded':
      telling.entries.push({ kind: 'refunded', scope, cash: event.amount })
      told.remaining -= event.amount
      if (event.gone) leave(told, told.place === 'ordered' ? 'cancelled' : 'returned')
      return
    case 'sold':
      telling.entries.push(
        { kind: 'sold', scope, cash: event.price },
        { kind: 'sale-cost', scope, cash: -event.fee - event.postage },
      )
      told.soldFor = event.price - event.fee - event.postage
      leave(told, 'sold')
      return
    case 'written-off':
      leave(told, 'written-off')
      return
    case 'handed-on':
      telling.handedOn += told.remaining
      told.isHandedOn = true
      told.place = 'gone'
  }
}

function leave(told: Told, because: GoneReason): void {
  told.place = 'gone'
  told.goneBecause = because
}

/** All that is here leaves with the machine; nothing may still be ordered. */
function sellMachine(
  telling: Telling,
  { price, fee, postage, hours }: Extract<HistoryEvent, { kind: 'sold-machine' }>,
  path: string,
): void {
  if (telling.isSold) throw new CoreError('already-sold', {}, path)
  for (const [id, told] of telling.items)
    if (told.place === 'ordered') throw new CoreError('not-arrived', { id }, path)
  for (const told of telling.items.values()) if (told.place === 'build') leave(told, 'sold-with-machine')
  telling.entries.push(
    { kind: 'machine-sold', scope: 'core', cash: price },
    { kind: 'machine-sale-cost', scope: 'core', cash: -fee - postage },
  )
  telling.isSold = true
  telling.hours += hours
}

/** What was handed on is the other build's: it is worth and lost nothing here. */
function asAccountItem(told: Told): AccountItem {
  const { line, thing, place, state, goneBecause, remaining, soldFor, expectedBack, isHandedOn } = told
  return {
    id: thing.id,
    lineId: line.id,
    scope: line.scope,
    plan: thing.plan,
    place,
    state: isHandedOn ? 'works' : state,
    goneBecause,
    remaining,
    soldFor,
    fault: thing.fault,
    worthToday: thing.worthToday,
    expectedBack,
  }
}
