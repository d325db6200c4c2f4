import type { AccountItem, OpenRebate } from '#core/ledger/account'
import { arrivalChecklist } from '#core/ledger/arrival'
import type { ReceiptLine } from '#core/ledger/receipt'
import { partLabel, roleNames, type Part } from '#core/parts/part'
import { atRiskOfClaims, expectedOfClaims } from '#core/supply/landed/rebates'
import type { World } from '#server/readings/world'
import type { ItemView } from '#shared/ledger/views'
import type { ChoiceView } from '#shared/machine/views'
import type { Holdings, ItemRow } from './holdings'
import type { Market } from './marketState'
import { builtIn, thingKey } from './readChoice'
import { worthOfParts } from './worthToday'

/** What the things of a build are read against. */
export interface ItemContext {
  /** The build whose things they are; a variant shows those of its build. */
  readonly buildId: string
  readonly currency: string
  readonly market: Market
  readonly library: Pick<ReadonlyMap<string, Part>, 'get'>
  readonly today: string
  readonly holdings: Holdings
  /** An amount of another currency in the build's. */
  inBuild(amount: number, currency: string): number
  readonly anyone: ReadonlyMap<string, number | null>
  /** Open rebates by line. */
  readonly rebates: readonly OpenRebate[]
  /** Things that a variant does without. */
  readonly dropped: ReadonlySet<string>
  readonly isVariant: boolean
}

export interface ReadItem {
  readonly item: ItemView
  readonly account: AccountItem
  /** Null for what is neither in the machine nor on its way to it or from it. */
  readonly view: ChoiceView | null
  readonly line: ReceiptLine
  readonly machineParts: readonly Part[]
}

/** The part a thing is, with what was found on it. */
export function partOfItem(row: ItemRow, library: Pick<ReadonlyMap<string, Part>, 'get'>): Part {
  const part = library.get(row.partId)!
  return { ...part, facts: { ...part.facts, ...row.facts } }
}

/** Whether a thing fills a role of a build: it is there or on its way, alive, and built in. */
export function fillsRole(row: ItemRow, buildId: string): boolean {
  return (
    row.buildId === buildId &&
    (row.place === 'ordered' || row.place === 'build') &&
    row.state !== 'dead' &&
    row.isBuiltIn
  )
}

/** The trip that is to fetch what was bought of a lead; null where none is, or it was driven. */
function tripOf({ rows }: World, leadId: string | null): ItemView['trip'] {
  const tripId = leadId === null ? null : (rows.leads.one('id', leadId)?.tripId ?? null)
  const trip = tripId === null ? undefined : rows.trips.one('id', tripId)
  return trip && trip.drivenOn === null && trip.deletedAt === null ? { id: trip.id, name: trip.name } : null
}

export function readItem(row: ItemRow, context: ItemContext): ReadItem {
  const { buildId, currency, library, market, today, holdings, inBuild, anyone, dropped } = context
  const part = partOfItem(row, library)
  const isHandedOn = row.buildId !== buildId
  const isPayer = row.payerId === buildId
  const fills = fillsRole(row, buildId) && !dropped.has(row.id)
  const worthToday = worthOfParts(market, [part], currency, today)
  const cost = inBuild(row.cost, row.currency)
  const remaining = inBuild(row.remaining, row.currency)
  const fault = row.faultLoss === null ? 0 : inBuild(row.faultLoss, row.currency)
  const orderLine = holdings.lines.find((line) => line.id === row.lineId)
  const { ownRebates, toComeBack } = rebatesOn(row, context)
  const payNow = isPayer ? cost : 0
  const afterRebates = (isPayer ? remaining : 0) - toComeBack
  const expected = afterRebates + atRiskOfClaims(ownRebates) + (row.place === 'ordered' ? fault : 0)
  const anyoneCanPay = fills ? (anyone.get(thingKey(row.id, 0)) ?? null) : 0
  const source = orderLine ? (market.sources.get(orderLine.order.sourceId ?? '')?.name ?? 'bought') : null
  const item: ItemView = {
    id: row.id,
    partId: row.partId,
    name: partLabel(part),
    role: part.role,
    listedAs: row.listedPartId === null ? null : partLabel(library.get(row.listedPartId)!),
    condition: row.condition,
    place: row.place,
    state: row.state,
    goneBecause: row.goneBecause,
    isHandedOn,
    scope: row.scope,
    plan: row.plan,
    isBuiltIn: row.isBuiltIn,
    cost,
    remaining,
    worthToday,
    expectedBack: inBuild(row.expectedBack, row.currency),
    soldFor: inBuild(row.soldFor, row.currency),
    paidOn: isPayer ? (orderLine?.order.day ?? null) : null,
    source,
    lineId: row.lineId,
    arrivedOn: row.arrivedOn,
    leftOn: row.leftOn,
    returnBy: row.returnBy,
    trip: row.place === 'ordered' ? tripOf(market.world, orderLine?.leadId ?? null) : null,
    checklist: arrivalChecklist([part.role]),
    checks: row.checks,
    facts: row.facts,
    note: row.note,
  }
  const isListed =
    !isHandedOn && (row.place === 'ordered' || row.place === 'build' || row.place === 'returning')
  return {
    item,
    account: {
      id: row.id,
      lineId: row.lineId,
      scope: row.scope,
      plan: row.plan,
      place: isHandedOn ? 'gone' : row.place,
      state: isHandedOn ? 'works' : row.state,
      goneBecause: isHandedOn ? null : row.goneBecause,
      remaining,
      soldFor: item.soldFor,
      fault,
      worthToday: part.role === 'extra' ? 0 : worthToday,
      expectedBack: isPayer ? item.expectedBack : 0,
      isOfMachine: fills && row.scope !== 'test',
    },
    view: isListed
      ? {
          id: row.id,
          kind: 'item',
          item,
          label: item.name,
          scope: row.scope,
          reason: row.reason,
          leftOut: row.isBuiltIn ? row.leftOut : [row.partId],
          isInherited: context.isVariant,
          paidOn: item.paidOn,
          voidBecause: null,
          leadId: orderLine?.leadId ?? null,
          partId: null,
          limit: null,
          huntCondition: null,
          condition: row.condition,
          vanishedOn: null,
          roles: row.state === 'dead' || row.place === 'returning' ? [] : [part.role],
          parts: [{ id: part.id, name: item.name, role: part.role }],
          payNow,
          afterRebates,
          rebatesExpected: expectedOfClaims(ownRebates),
          expected,
          anyoneCanPay,
          expectedWait: null,
          chanceByDate: null,
          source: source ?? 'owned before',
        }
      : null,
    line: {
      id: row.id,
      label: isListed ? item.name : `${item.name}, ${goneWords(row, isHandedOn)}`,
      role: roleNames[part.role],
      scope: row.scope,
      kind: isPayer ? 'paid' : 'owned',
      payNow,
      afterRebates,
      expected,
      anyoneCanPay,
      isThing: fills,
      toComeBack,
    },
    machineParts: fills && row.scope !== 'test' ? builtIn([part], row.leftOut) : [],
  }
}

/** The rebates of a line stand with its first thing; what is expected for a thing on its way back with the thing. */
function rebatesOn(
  row: ItemRow,
  { holdings, rebates, buildId, inBuild }: ItemContext,
): { ownRebates: OpenRebate[]; toComeBack: number } {
  const first = holdings.items.find((each) => each.lineId === row.lineId && each.plan === 'keep')
  const ownRebates =
    row.lineId !== null && row.payerId === buildId && first?.id === row.id
      ? rebates.filter((rebate) => rebate.lineId === row.lineId)
      : []
  const back =
    row.place === 'returning' && row.payerId === buildId ? inBuild(row.expectedBack, row.currency) : 0
  return { ownRebates, toComeBack: ownRebates.reduce((sum, { amount }) => sum + amount, back) }
}

function goneWords(row: ItemRow, isHandedOn: boolean): string {
  if (isHandedOn) return 'handed over'
  if (row.place === 'shelf') return 'on the shelf'
  return { ...goneNames, other: 'gone' }[row.goneBecause ?? 'other']
}

/** Why a thing is gone, in words. */
export const goneNames = {
  cancelled: 'cancelled',
  missing: 'did not arrive',
  returned: 'returned',
  sold: 'sold',
  'sold-with-machine': 'sold with the PC',
  'traded-in': 'traded in',
  'written-off': 'written off',
  split: 'split',
} as const
