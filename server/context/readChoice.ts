import type { BuildRow } from '#server/context/findBuild'
import {
  chanceOfAllHunts,
  chancesPerDay,
  chanceWithin,
  daysForAllHunts,
  expectedWait,
} from '#core/pricing/patience/patience'
import { factsInBox } from '#core/reading/listings/factsInBox'
import type { Condition } from '#core/reading/sales/soldRecord'
import { formatAmount } from '#core/money/formatAmount'
import { partLabel, roleNames, type Part } from '#core/parts/part'
import type { ReceiptLine } from '#core/ledger/receipt'
import { daysBetween } from '#core/time/calendarDate'
import type { BuildView } from '#shared/builds/views'
import type { ChoiceView } from '#shared/machine/views'
import type { choices } from '../db/schema/machine'
import type { shelf } from '../db/schema/shelf'
import { houseRuleBreaches } from './houseRuleBreaches'
import type { ValuedLead } from './valuedLeads'
import { readStreetPrice, streetAt, type Market } from './market'
import { newPriceIn, newOffers } from './newOffers'
import type { arrivalsOf } from '#server/context/arrivals'

/** What choices are read against. */
export interface ChoiceContext {
  readonly build: BuildRow
  readonly market: Market
  readonly library: ReadonlyMap<string, Part>
  readonly leads: readonly ValuedLead[]
  readonly shelfRows: readonly (typeof shelf.$inferSelect)[]
  /** Titles of the leads of choices removed. */
  readonly leadTitles: ReadonlyMap<string, string>
  readonly today: string
  /** What a lead bears where several still to be paid make one order, by lead. */
  readonly joined: ReadonlyMap<string, { readonly payNow: number; readonly expected: number }>
  /** Cash that left for a choice, from the ledger. */
  readonly paid: ReadonlyMap<string, number>
  /** What came out of the box, by choice. */
  readonly arrived: Awaited<ReturnType<typeof arrivalsOf>>
}

/** A choice as the receipt, the machine and the interface want it. */
export interface ReadChoice {
  readonly view: ChoiceView
  readonly line: ReceiptLine
  readonly machineParts: readonly Part[]
  readonly breaches: readonly string[]
  /** Chances a day of a hunt that has not come in; null for anything else. */
  readonly huntRate: number | null
}

export function readChoice(row: typeof choices.$inferSelect, context: ChoiceContext): ReadChoice {
  const read = asPaid(
    row,
    row.kind === 'lead'
      ? readLeadChoice(row, context)
      : row.kind === 'hunt'
        ? readHunt(row, context)
        : readOwned(row, context),
    context,
  )
  const {
    parts,
    breaches = [],
    toComeBack = 0,
    rebatesExpected = 0,
    expectedWait: wait = null,
    chanceByDate = null,
    rate = null,
    condition = null,
    vanishedOn = null,
    ...money
  } = read
  const { label, payNow, afterRebates, expected, anyoneCanPay } = money
  const roles = [...new Set(parts.map((part) => part.role))]
  return {
    view: {
      id: row.id,
      kind: row.kind,
      scope: row.scope,
      reason: row.reason,
      leftOut: row.leftOut,
      isInherited: row.buildId !== context.build.id,
      paidOn: row.paidOn,
      leadId: row.leadId,
      partId: row.partId,
      limit: row.limit,
      condition,
      vanishedOn,
      roles,
      parts: parts.map((part) => ({ id: part.id, name: partLabel(part), role: part.role })),
      expectedWait: wait,
      chanceByDate,
      source: money.source,
      label,
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
      kind: row.kind === 'owned' ? 'owned' : row.paidOn ? 'paid' : row.kind === 'lead' ? 'lead' : 'street',
      payNow,
      afterRebates,
      expected,
      anyoneCanPay,
      toComeBack,
    },
    machineParts: row.scope === 'test' ? [] : builtIn(parts, row.leftOut),
    breaches,
    huntRate: row.paidOn === null ? rate : null,
  }
}

/** What of a choice goes into the machine. */
function builtIn(parts: readonly Part[], leftOut: readonly string[]): Part[] {
  const out = [...leftOut]
  return parts.filter((part) => {
    const at = out.indexOf(part.id)
    if (at >= 0) out.splice(at, 1)
    return at < 0
  })
}

/** All hunts of a build together: the chance that every one has come in by the date, and the days it takes for 8 of 10. */
export function huntsTogether(
  chosen: readonly ReadChoice[],
  wantedBy: string | null,
  today: string,
): BuildView['hunts'] {
  const open = chosen.filter(({ view }) => view.kind === 'hunt' && view.paidOn === null)
  if (open.length === 0) return null
  // what a shop has at the limit comes in for certain, and leaves the product as it is
  const rates = open.flatMap((choice) => choice.huntRate ?? [])
  const days = wantedBy === null ? null : Math.max(0, daysBetween(today, wantedBy))
  return {
    count: open.length,
    days,
    chanceByDate: days === null ? null : chanceOfAllHunts(rates, days),
    daysForMost: daysForAllHunts(rates),
  }
}

/** After arrival what was found stands for what was listed, and what was paid for what was asked. */
function asPaid(
  row: typeof choices.$inferSelect,
  figures: ChoiceFigures,
  { paid, arrived, library }: ChoiceContext,
): ChoiceFigures {
  const other = library.get(arrived.get(row.id)?.foundPartId ?? '')
  const at = other ? figures.parts.findIndex((part) => part.role === other.role) : -1
  const parts =
    other && at >= 0 ? figures.parts.map((part, index) => (index === at ? other : part)) : figures.parts
  const label = other && figures.parts.length === 1 ? partLabel(other) : figures.label
  const cash = row.paidOn === null ? undefined : paid.get(row.id)
  if (cash === undefined) return { ...figures, parts, label }
  const change = cash - figures.payNow
  return {
    ...figures,
    parts,
    label,
    payNow: cash,
    afterRebates: figures.afterRebates + change,
    expected: figures.expected + change,
  }
}

/** A choice removed is only named: its lead may no longer be convertible, and need not be. */
export function removedLabel(
  row: typeof choices.$inferSelect,
  { library, shelfRows, leadTitles }: ChoiceContext,
): string {
  if (row.kind === 'lead') return leadTitles.get(row.leadId!) ?? 'a lead'
  const partId = row.kind === 'hunt' ? row.partId : shelfRows.find((each) => each.id === row.shelfId)?.partId
  const part = library.get(partId ?? '')
  return part ? partLabel(part) : 'a part'
}

interface ChoiceFigures {
  readonly label: string
  readonly parts: readonly Part[]
  readonly payNow: number
  readonly afterRebates: number
  readonly expected: number
  readonly anyoneCanPay: number | null
  readonly source: string
  readonly toComeBack?: number
  readonly rebatesExpected?: number
  readonly expectedWait?: number | null
  readonly chanceByDate?: number | null
  readonly rate?: number
  readonly condition?: Condition
  readonly vanishedOn?: string | null
  readonly breaches?: readonly string[]
}

/** What anyone can pay for what a lead brings: a shop's offer is open to all, anything else is had at the street price. */
export function anyoneCanPay({ lead, value }: Pick<ValuedLead, 'lead' | 'value'>): number | null {
  return lead.manner === 'fixed' && lead.condition === 'new' ? value.payNow : value.street
}

function readLeadChoice(row: typeof choices.$inferSelect, context: ChoiceContext): ChoiceFigures {
  const { build, library, leads } = context
  const valued = leads.find((each) => each.lead.id === row.leadId)!
  const { lead, value, sourceName } = valued
  const shared = context.joined.get(lead.id) ?? value
  const kept = lead.things.filter((thing) => thing.plan === 'keep')
  const parts = kept.flatMap((thing) =>
    Array.from({ length: thing.quantity }, () => library.get(thing.partId)!),
  )
  const asInBox = parts.map((part) => ({
    ...part,
    facts: { ...part.facts, ...factsInBox(part.role, valued.facts) },
  }))
  return {
    label: kept.length === 1 ? partLabel(library.get(kept[0]!.partId)!) : lead.title,
    parts: asInBox,
    payNow: shared.payNow,
    afterRebates: value.afterRebates + shared.payNow - value.payNow,
    expected: shared.expected,
    toComeBack: value.openRebates,
    rebatesExpected: value.rebatesExpected,
    anyoneCanPay: anyoneCanPay(valued),
    source: sourceName,
    condition: lead.condition,
    vanishedOn: lead.vanishedOn,
    breaches: houseRuleBreaches(build.houseRules, valued, library),
  }
}

/** What anyone pays for a part that is hunted: the street price at the builder's patience; bought new, tax and shipping included, where the house bars used ones or none was sold. */
export function huntPrice(
  market: Market,
  { currency, houseRules }: Pick<BuildRow, 'currency' | 'houseRules'>,
  part: Part,
  today: string,
): number | null {
  const street = houseRules.neverUsed.includes(part.role)
    ? null
    : streetAt(market, part.id, today, currency, houseRules.patience)
  return street ?? landedNew(market, part.id, currency, today)
}

function landedNew(market: Market, partId: string, currency: string, today: string): number | null {
  return newOffers(market, partId, currency, today)[0]?.landed ?? null
}

function readHunt(
  row: typeof choices.$inferSelect,
  { build, market, library, today }: ChoiceContext,
): ChoiceFigures {
  const part = library.get(row.partId!)!
  const reading = readStreetPrice(market, part.id, today, build.currency)
  const typical = huntPrice(market, build, part, today)
  const limit = row.limit ?? typical ?? 0
  const shopPrice = landedNew(market, part.id, build.currency, today)
  const days = build.wantedBy === null ? null : Math.max(0, daysBetween(today, build.wantedBy))
  // a shop that asks no more than the limit ends the hunt on any day
  const atHand = shopPrice !== null && shopPrice <= limit
  return {
    label: partLabel(part),
    parts: [part],
    payNow: limit,
    afterRebates: limit,
    expected: limit,
    anyoneCanPay: typical,
    source: `hunt up to ${formatAmount(limit, build.currency)}`,
    expectedWait: atHand ? 0 : expectedWait(reading.flow, limit),
    ...(atHand ? {} : { rate: chancesPerDay(reading.flow, limit) }),
    chanceByDate: days === null ? null : atHand ? 1 : chanceWithin(reading.flow, limit, days),
  }
}

function readOwned(
  row: typeof choices.$inferSelect,
  { build, market, library, shelfRows, today }: ChoiceContext,
): ChoiceFigures {
  const thing = shelfRows.find((each) => each.id === row.shelfId)!
  const part = library.get(thing.partId)!
  const street =
    streetAt(market, part.id, today, build.currency, build.houseRules.patience) ??
    newPriceIn(market, part.id, build.currency, today)
  return {
    label: partLabel(part),
    parts: [part],
    payNow: 0,
    afterRebates: 0,
    expected: 0,
    anyoneCanPay: street,
    source: 'from the shelf',
  }
}
