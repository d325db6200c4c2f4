import type { BuildRow } from '#server/context/findBuild'
import type { AccountPlan, OpenRebate } from '#core/ledger/account'
import type { ReceiptLine } from '#core/ledger/receipt'
import { formatAmount } from '#core/money/formatAmount'
import { convertAmount, rateTable } from '#core/money/rates'
import { partLabel, roleNames, type Part } from '#core/parts/part'
import {
  chanceOfAllHunts,
  chancesPerDay,
  chanceWithin,
  daysForAllHunts,
  expectedWait,
} from '#core/pricing/patience/patience'
import { factsInBox } from '#core/reading/listings/factsInBox'
import { isRebateOpen, expectedOfClaims } from '#core/supply/landed/rebates'
import { daysBetween } from '#core/time/calendarDate'
import type { BuildView } from '#shared/builds/views'
import type { ChoiceView } from '#shared/machine/views'
import type { ItemRow } from './holdings'
import { houseRuleBreaches } from './houseRuleBreaches'
import { huntFault } from './huntFault'
import { readStreetPrice, streetAt } from './market'
import type { Market } from './marketState'
import { newOffers } from './newOffers'
import type { ChoiceRow, OrderShare } from './openOrders'
import { worthOfParts } from './worthToday'
import type { ValuedLead } from './valuedLeads'

/** What choices are read against. */
export interface ChoiceContext {
  readonly build: BuildRow
  readonly market: Market
  readonly library: ReadonlyMap<string, Part>
  readonly leads: readonly ValuedLead[]
  /** Things that choices of a variant would use. */
  readonly items: readonly ItemRow[]
  /** Titles of the leads of choices that are removed or void. */
  readonly leadTitles: ReadonlyMap<string, string>
  readonly today: string
  /** What a chosen lead bears of its order, by choice. */
  readonly shares: ReadonlyMap<string, OrderShare>
  /** The market price for each thing, by choice and place in it; see `thingKey`. */
  readonly anyone: ReadonlyMap<string, number | null>
}

/** A choice as the receipt, the machine and the interface want it. */
export interface ReadChoice {
  readonly view: ChoiceView
  readonly line: ReceiptLine
  /** What it plans to spend; null for what costs nothing any more. */
  readonly planned: AccountPlan | null
  readonly rebates: readonly OpenRebate[]
  readonly machineParts: readonly Part[]
  readonly breaches: readonly string[]
  /** Chances a day of a hunt that has not come in; unknown where nobody can say; null for anything else. */
  readonly huntRate: number | 'unknown' | null
}

/** Names a thing of a line among all things of a build. */
export function thingKey(lineId: string, index: number): string {
  return `${lineId} ${index}`
}

export function readChoice(row: ChoiceRow, context: ChoiceContext): ReadChoice {
  if (row.voidBecause !== null) return readVoid(row, context)
  const read =
    row.kind === 'lead'
      ? readLeadChoice(row, context)
      : row.kind === 'hunt'
        ? readHunt(row, context)
        : readItemChoice(row, context)
  return asRead(row, read, context)
}

interface ChoiceFigures {
  readonly label: string
  readonly parts: readonly Part[]
  readonly kind: ReceiptLine['kind']
  readonly payNow: number | null
  readonly fault: number | null
  readonly rebates?: readonly OpenRebate[]
  readonly source: string
  readonly expectedWait?: number | null
  readonly chanceByDate?: number | null
  readonly rate?: number | 'unknown'
  readonly condition?: ChoiceView['condition']
  readonly vanishedOn?: string | null
  readonly breaches?: readonly string[]
}

function asRead(row: ChoiceRow, read: ChoiceFigures, context: ChoiceContext): ReadChoice {
  const { parts, payNow, fault, rebates = [], label, breaches = [] } = read
  const { market, build, today, anyone } = context
  const toComeBack = rebates.reduce((sum, rebate) => sum + rebate.amount, 0)
  const rebatesExpected = expectedOfClaims(rebates)
  const afterRebates = payNow === null ? null : payNow - toComeBack
  const expected = payNow === null || fault === null ? null : payNow - rebatesExpected + fault
  const prices = parts.map((_, index) => anyone.get(thingKey(row.id, index)) ?? null)
  const anyoneCanPay = prices.some((price) => price === null)
    ? null
    : prices.reduce<number>((sum, price) => sum + price!, 0)
  const roles = [...new Set(parts.map((part) => part.role))]
  return {
    view: {
      ...emptyView(row, context),
      label,
      condition: read.condition ?? null,
      vanishedOn: read.vanishedOn ?? null,
      roles,
      parts: parts.map((part) => ({ id: part.id, name: partLabel(part), role: part.role })),
      expectedWait: read.expectedWait ?? null,
      chanceByDate: read.chanceByDate ?? null,
      source: read.source,
      payNow,
      afterRebates,
      rebatesExpected,
      expected,
      anyoneCanPay,
    },
    line: {
      id: row.id,
      label,
      role: roles.map((role) => roleNames[role]).join(', '),
      scope: row.scope,
      kind: read.kind,
      payNow,
      afterRebates,
      expected,
      anyoneCanPay,
      isThing: true,
      toComeBack,
    },
    planned: {
      id: row.id,
      scope: row.scope,
      payNow,
      fault,
      worthToday: worthOfParts(market, parts, build.currency, today),
      isOfMachine: row.scope !== 'test' && builtIn(parts, row.leftOut).length > 0,
    },
    rebates,
    machineParts: row.scope === 'test' ? [] : builtIn(parts, row.leftOut),
    breaches,
    huntRate: read.rate ?? null,
  }
}

function emptyView(row: ChoiceRow, { build }: ChoiceContext): ChoiceView {
  return {
    id: row.id,
    kind: row.kind,
    item: null,
    scope: row.scope,
    reason: row.reason,
    leftOut: row.leftOut,
    isInherited: row.buildId !== build.id,
    paidOn: null,
    voidBecause: row.voidBecause,
    leadId: row.leadId,
    partId: row.partId,
    limit: row.limit,
    huntCondition: row.condition,
    condition: null,
    vanishedOn: null,
    roles: [],
    parts: [],
    expectedWait: null,
    chanceByDate: null,
    source: '',
    label: '',
    payNow: 0,
    afterRebates: 0,
    rebatesExpected: 0,
    expected: 0,
    anyoneCanPay: null,
  }
}

/** What is void counts nowhere and fills no role; it stays and says why. */
function readVoid(row: ChoiceRow, context: ChoiceContext): ReadChoice {
  const label = removedLabel(row, context)
  return {
    view: { ...emptyView(row, context), label, source: voidWords[row.voidBecause!], anyoneCanPay: 0 },
    line: {
      id: row.id,
      label,
      role: '',
      scope: row.scope,
      kind: 'lead',
      payNow: 0,
      afterRebates: 0,
      expected: 0,
      anyoneCanPay: 0,
      isThing: false,
      toComeBack: 0,
    },
    planned: null,
    rebates: [],
    machineParts: [],
    breaches: [],
    huntRate: null,
  }
}

const voidWords = {
  bought: 'bought for another build',
  gone: 'no longer listed',
  passed: 'passed',
} as const

/** What of a choice goes into the machine; of a donor what it contains may stay out as well. */
export function builtIn(parts: readonly Part[], leftOut: readonly string[]): Part[] {
  const out = [...leftOut]
  const isOut = (id: string) => {
    const at = out.indexOf(id)
    if (at >= 0) out.splice(at, 1)
    return at >= 0
  }
  return parts.flatMap((part): Part[] => {
    if (isOut(part.id)) return []
    const { contains } = part.facts
    if (part.role !== 'donor' || contains === undefined) return [part]
    const left = contains.filter((id) => !isOut(id))
    return [left.length === contains.length ? part : { ...part, facts: { ...part.facts, contains: left } }]
  })
}

/** All hunts of a build together: the chance that every one has come in by the date, and the days it takes for 8 of 10. */
export function huntsTogether(
  chosen: readonly ReadChoice[],
  wantedBy: string | null,
  today: string,
): BuildView['hunts'] {
  const open = chosen.filter(({ view }) => view.kind === 'hunt')
  if (open.length === 0) return null
  // what a shop has at the limit comes in for certain, and leaves the product as it is
  const rates = open.flatMap(({ huntRate }) => (typeof huntRate === 'number' ? huntRate : []))
  const days = wantedBy === null ? null : Math.max(0, daysBetween(today, wantedBy))
  return {
    count: open.length,
    days,
    chanceByDate: days === null ? null : chanceOfAllHunts(rates, days),
    daysForMost: daysForAllHunts(rates),
    uncounted: open.flatMap(({ huntRate, view }) => (huntRate === 'unknown' ? [view.label] : [])),
  }
}

/** A choice removed is only named: its lead may no longer be convertible, and need not be. */
export function removedLabel(row: ChoiceRow, { library, items, leadTitles }: ChoiceContext): string {
  if (row.kind === 'lead') return leadTitles.get(row.leadId!) ?? 'a lead'
  const partId = row.kind === 'hunt' ? row.partId : items.find((each) => each.id === row.itemId)?.partId
  const part = library.get(partId ?? '')
  return part ? partLabel(part) : 'a part'
}

function readLeadChoice(row: ChoiceRow, context: ChoiceContext): ChoiceFigures {
  const { build, market, library, leads, today } = context
  const valued = leads.find((each) => each.lead.id === row.leadId)!
  const { lead, value, sourceName } = valued
  const kept = lead.things.filter((thing) => thing.plan === 'keep')
  const parts = kept.flatMap((thing) =>
    Array.from({ length: thing.quantity }, () => library.get(thing.partId)!),
  )
  const { payNow, expected } = context.shares.get(row.id) ?? value
  return {
    label: kept.length === 1 ? partLabel(library.get(kept[0]!.partId)!) : lead.title,
    kind: 'lead',
    parts: parts.map((part) => ({
      ...part,
      facts: { ...part.facts, ...factsInBox(part, valued.facts) },
    })),
    payNow,
    fault: expected - payNow + value.rebatesExpected,
    rebates: openRebatesOf(valued, row.id, market, build.currency, today),
    source: sourceName,
    condition: lead.condition,
    vanishedOn: lead.vanishedOn,
    breaches: houseRuleBreaches(build.houseRules, valued, library),
  }
}

/** The rebates of a lead that may yet be paid, in the build's currency. */
export function openRebatesOf(
  { rebates, beyond, lead }: Pick<ValuedLead, 'rebates' | 'beyond' | 'lead'>,
  lineId: string,
  market: Market,
  currency: string,
  today: string,
): OpenRebate[] {
  const rate = lead.currency === currency ? 1 : rateTable(market.rates).find(today, lead.currency, currency)
  return rebates.flatMap((rebate) =>
    rate === null || beyond.has(rebate.id) || !isRebateOpen(rebate, today)
      ? []
      : [
          {
            lineId,
            amount:
              lead.currency === currency
                ? rebate.amount
                : convertAmount(rebate.amount, lead.currency, currency, rate),
            chance: rebate.chance,
          },
        ],
  )
}

/**
 * What anyone pays for a part that is hunted: the street price at the builder's patience; bought new, tax and shipping
 * included, where the house bars used ones or none was sold.
 */
export function huntPrice(
  market: Market,
  { currency, houseRules }: Pick<BuildRow, 'currency' | 'houseRules'>,
  part: Part,
  today: string,
  condition: 'used' | 'new' | null = null,
): number | null {
  const street =
    condition === 'new' || houseRules.neverUsed.includes(part.role)
      ? null
      : streetAt(market, part.id, today, currency, houseRules.patience)
  if (condition === 'used') return street
  return street ?? landedNew(market, part.id, currency, today)
}

/** Whether a hunt is for a new part: as it was chosen, else as the house rules and the market have it. */
export function huntsNew(
  market: Market,
  { currency, houseRules }: Pick<BuildRow, 'currency' | 'houseRules'>,
  part: Part,
  condition: 'used' | 'new' | null,
  today: string,
): boolean {
  if (condition !== null) return condition === 'new'
  return (
    houseRules.neverUsed.includes(part.role) ||
    streetAt(market, part.id, today, currency, houseRules.patience) === null
  )
}

function landedNew(market: Market, partId: string, currency: string, today: string): number | null {
  return newOffers(market, partId, currency, today)[0]?.landed ?? null
}

function readHunt(row: ChoiceRow, { build, market, library, today }: ChoiceContext): ChoiceFigures {
  const part = library.get(row.partId!)!
  const { currency } = build
  const isNew = huntsNew(market, build, part, row.condition, today)
  const limit = row.limit ?? huntPrice(market, build, part, today, isNew ? 'new' : 'used')
  // either will do, unless it was chosen or the house bars used ones
  const asked = row.condition ?? (build.houseRules.neverUsed.includes(part.role) ? 'new' : 'used or new')
  const source =
    limit === null ? 'hunt, no price known' : `hunt up to ${formatAmount(limit, currency)}, ${asked}`
  if (limit === null)
    return {
      label: partLabel(part),
      kind: 'street',
      parts: [part],
      payNow: null,
      fault: null,
      condition: isNew ? 'new' : 'used',
      source,
      rate: 'unknown',
    }
  const [shop] = newOffers(market, part.id, currency, today)
  const { flow } = readStreetPrice(market, part.id, today, currency)
  const days = build.wantedBy === null ? null : Math.max(0, daysBetween(today, build.wantedBy))
  // a shop that asks no more than the limit ends the hunt on any day
  const atHand = shop !== undefined && shop.landed <= limit
  // how often a shop lowers its price, or what was never sold comes up, nobody has counted
  const isCounted = !isNew && flow.prices.length > 0
  return {
    label: partLabel(part),
    kind: 'street',
    parts: [part],
    payNow: limit,
    fault: huntFault(market, build, part, { isNew, limit }, today),
    source,
    condition: isNew ? 'new' : 'used',
    expectedWait: atHand ? 0 : isCounted ? expectedWait(flow, limit) : null,
    ...(atHand ? {} : { rate: isCounted ? chancesPerDay(flow, limit) : 'unknown' }),
    chanceByDate: days === null ? null : atHand ? 1 : isCounted ? chanceWithin(flow, limit, days) : null,
  }
}

/** A thing of mine that a variant would use: no cash. */
function readItemChoice(row: ChoiceRow, { library, items }: ChoiceContext): ChoiceFigures {
  const part = library.get(items.find((each) => each.id === row.itemId)!.partId)!
  return {
    label: partLabel(part),
    kind: 'owned',
    parts: [part],
    payNow: 0,
    fault: 0,
    source: 'a part you own',
  }
}
