import type { AccountEntry, AccountInput, AccountPlan, CashKind, OpenRebate } from '#core/ledger/account'
import { receipt, type ReceiptLine } from '#core/ledger/receipt'
import { entryKinds } from '#core/ledger/ledger'
import { checkFit, type FitReport } from '#core/machine/fit/checkFit'
import { convertAmount, rateTable } from '#core/money/rates'
import { expandDonors } from '#core/parts/expandDonors'
import { coreRoles, partLabel, type Part, type Role, roleNames } from '#core/parts/part'
import { machinePair } from '#core/performance/model/machineOf'
import { isRebateOpen } from '#core/supply/landed/rebates'
import { pickupCost } from '#core/supply/landed/landedCost'
import type { BuildView } from '#shared/builds/views'
import type { ItemView } from '#shared/ledger/views'
import { anyonePrices, type PartToGet } from './anyone'
import type { BuildToWeigh, Scales } from './buildToWeigh'
import { choicesOf } from './choicesOf'
import { faultsOf } from './faults'
import { buildRow, rootIdOf, type BuildRow } from './findBuild'
import { fitBriefOf } from './fitBrief'
import { holdingsOf, type Holdings } from './holdings'
import { titlesOf } from './leadTitles'
import { marketOf } from './marketReadings'
import type { Market } from './marketState'
import {
  cartOf,
  openOrders,
  plannedElsewhere,
  shopsOf,
  plannedLeads,
  sharesOfOrders,
  type ChoiceRow,
  type OpenOrder,
} from './openOrders'
import { measuredWatts, performanceOf, performanceTables } from './performance'
import {
  huntsNew,
  huntsTogether,
  readChoice,
  removedLabel,
  thingKey,
  type ChoiceContext,
  type ReadChoice,
} from './readChoice'
import { fillsRole, partOfItem, readItem, type ItemContext, type ReadItem } from './readItem'
import { readTargets } from './readTargets'
import { machineWorthOf } from './soldMachines'
import { leadsValued, type ValuedLead } from './valuedLeads'
import type { Queryable } from '../db/client'
import type { items, trips } from '../db/schema/ledger'
import { reading } from '../readings/reading'
import { byNumber } from '../readings/rows'
import { useWorld } from '../readings/useWorld'
import type { World } from '../readings/world'

/** A build without its scales. */
export type UnweighedBuild = Omit<BuildView, 'weighing'>

/** A build as calculated, but for its scales; what the scales, and the ledger, need to know of it besides. */
export interface ReadBuild {
  readonly view: UnweighedBuild
  readonly toWeigh: BuildToWeigh
  readonly scales: Scales
  readonly items: readonly ItemView[]
  readonly holdings: Holdings
  readonly orders: readonly OpenOrder[]
  readonly trips: readonly PlannedTrip[]
}

type TripRow = typeof trips.$inferSelect

/** A trip that is planned or was driven, and what it costs in cash: hours are kept, they are no cash. */
export interface PlannedTrip {
  readonly trip: TripRow
  readonly cash: number
  /** Whether something chosen or ordered is still fetched on it. */
  readonly isNeeded: boolean
}

export async function readBuild(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  today: string,
): Promise<ReadBuild> {
  return buildReading(await useWorld(db), buildId, today)
}

export const buildReading = reading('build', calculated, { most: 500 })

function calculated(world: World, buildId: string, today: string): ReadBuild {
  const written = buildRow(world, buildId)
  const rootId = rootIdOf(world, written)
  // a variant lives as long as its build does
  const build = written.variantOf === null ? written : { ...written, state: buildRow(world, rootId).state }
  const market = marketOf(world)
  const performance = performanceOf(world.unless(performanceTables))
  const targetRows = world.rows.targets.where('buildId', buildId).toSorted((a, b) => a.position - b.position)
  const choiceRows = choicesOf(world, build)
  const removed = removedChoices(world, buildId)
  const holdings = holdingsOf(world, rootId)
  const loaded: LoadedBuild = { build, rootId, market, today, choiceRows, removed, holdings }
  const { choiceContext, itemContext, orders } = contexts(world, loaded)
  const chosen = choiceRows.map((row) => readChoice(row, choiceContext))
  const things = holdings.items.map((row) => readItem(row, itemContext))
  const planned = plannedTrips(world, loaded)
  const parts = expandDonors(
    [...things.flatMap((thing) => thing.machineParts), ...chosen.flatMap((choice) => choice.machineParts)],
    choiceContext.library,
  )
  // of what is over nothing is missing
  const emptyRoles = build.state === 'sold' || build.state === 'apart' ? [] : emptyRolesOf(parts)
  const input = {
    ...accountInput(loaded, chosen, things, planned, itemContext),
    machineWorth: machineWorthOf(market, build, parts, emptyRoles.length === 0, today),
  }
  const lines = [
    ...things.map(({ line }) => line),
    ...chosen.map(({ line }) => line),
    ...otherLines(loaded, planned, itemContext),
  ]
  const targetViews = readTargets(targetRows, parts, performance)
  const views = [...things.flatMap(({ view }) => view ?? []), ...chosen.map((choice) => choice.view)]
  const view: UnweighedBuild = {
    id: build.id,
    name: build.name,
    purpose: build.purpose,
    currency: build.currency,
    region: build.region,
    budget: build.budget,
    budgetScope: build.budgetScope,
    stretch: build.stretch,
    state: build.state,
    wantedBy: build.wantedBy,
    saleText: build.saleText,
    carts: orders.map((order) => cartOf(order, build.id)),
    worthBasis: build.selling?.basis ?? 'parts',
    variantOf: build.variantOf,
    houseRules: build.houseRules,
    assumptions: market.assumptions,
    faults: faultsOf(market, build, today),
    needs: build.needs,
    today,
    targets: targetViews,
    choices: views,
    receipt: receipt(input, lines, build.stretch),
    parts,
    fit: fitViewOf(
      checkFit({ parts, brief: fitBriefOf(market, build, today), settled: new Set(build.settled) }),
    ),
    hunts: huntsTogether(chosen, build.wantedBy, today),
    emptyRoles,
    breaches: chosen.flatMap((choice) => choice.breaches),
    machineName: { cpu: nameOf(parts, 'cpu'), graphics: nameOf(parts, 'graphics') },
    workloads: performance.workloads,
    removedChoices: removed.map((row) => ({ id: row.id, label: removedLabel(row, choiceContext) })),
  }
  const toWeigh: BuildToWeigh = {
    build,
    choices: views,
    parts,
    targets: targetViews,
    hours: input.hours,
    measuredW: measuredWatts(performance, machinePair(parts)),
    notYet: notYetOf(view),
  }
  return {
    view,
    toWeigh,
    scales: { market, performance, today },
    items: things.map(({ item }) => item),
    holdings,
    orders,
    trips: planned,
  }
}

/** “memory”, “memory or case”, “memory, case or cooler”. */
const listed = (names: readonly string[]) =>
  [names.slice(0, -1).join(', '), names.at(-1)].filter((each) => each !== '').join(' or ')

/** What keeps a build from being a machine: roles that are empty, else that something stops. */
function notYetOf({ emptyRoles, fit }: Pick<UnweighedBuild, 'emptyRoles' | 'fit'>): string | null {
  if (emptyRoles.length > 0) return `has no ${listed(emptyRoles.map((role) => roleNames[role]))}`
  const stops = fit.findings.find(({ severity }) => severity === 'stops')
  return stops ? `won’t work as it stands (${stops.what})` : null
}

interface LoadedBuild {
  readonly build: BuildRow
  /** The build itself; of a variant the one it is made of, which holds its things and its money. */
  readonly rootId: string
  readonly market: Market
  readonly today: string
  readonly choiceRows: readonly ChoiceRow[]
  readonly removed: readonly ChoiceRow[]
  readonly holdings: Holdings
}

/** The last choices removed, newest first; what was paid is no choice any more. */
function removedChoices(world: World, buildId: string): ChoiceRow[] {
  return world.rows.choices
    .where('buildId', buildId)
    .filter(({ deletedAt, lineId }) => deletedAt !== null && lineId === null)
    .sort((a, b) => (a.deletedAt! > b.deletedAt! ? -1 : a.deletedAt! < b.deletedAt! ? 1 : 0))
    .slice(0, 5)
}

/** What the choices and the things of a build are read against. */
function contexts(
  world: World,
  loaded: LoadedBuild,
): { choiceContext: ChoiceContext; itemContext: ItemContext; orders: OpenOrder[] } {
  const { build, rootId, market, today, choiceRows, removed, holdings } = loaded
  const live = choiceRows.filter((row) => row.voidBecause === null)
  const named = [...removed, ...choiceRows.filter((row) => row.voidBecause !== null)]
  const valued = leadsValued(
    world,
    build,
    today,
    live.flatMap((row) => row.leadId ?? []),
  )
  const leadTitles = titlesOf(
    world,
    named.flatMap((row) => row.leadId ?? []),
  )
  const itemRows = [...choiceRows, ...removed].flatMap(
    ({ itemId }) => (itemId === null ? undefined : world.rows.items.one('id', itemId)) ?? [],
  )
  const own = plannedLeads(build, live, valued)
  const orders = openOrders([
    ...own,
    ...plannedElsewhere(world, build, shopsOf(own.map((each) => each.valued)), today),
  ])
  const library = new Map(market.library.map((part) => [part.id, part]))
  const dropped = new Set(build.dropped)
  const anyone = anyonePrices(
    market,
    build,
    [...partsOfChoices(live, valued, itemRows, loaded, library), ...partsOfItems(loaded, library, dropped)],
    today,
  )
  const table = rateTable(market.rates)
  const inBuild = (amount: number, from: string) =>
    from === build.currency || amount === 0
      ? amount
      : convertAmount(amount, from, build.currency, table.rateOn(today, from, build.currency))
  return {
    choiceContext: {
      build,
      market,
      library,
      leads: valued,
      items: itemRows,
      leadTitles,
      today,
      shares: sharesOfOrders(orders, market.rates, today),
      anyone,
    },
    itemContext: {
      buildId: rootId,
      currency: build.currency,
      market,
      library,
      today,
      holdings,
      inBuild,
      anyone,
      rebates: rebatesOfLines(holdings, inBuild, today),
      dropped,
      isVariant: build.variantOf !== null,
    },
    orders: orders.filter((order) => order.leads.some((each) => each.buildId === build.id)),
  }
}

/** Open rebates of what was bought. Rebates are stated in the currency of their order. */
function rebatesOfLines(
  { rebates, lines }: Holdings,
  inBuild: (amount: number, currency: string) => number,
  today: string,
): OpenRebate[] {
  return rebates.flatMap((rebate) => {
    const line = lines.find((each) => each.id === rebate.lineId)
    return line && isRebateOpen(rebate, today)
      ? [{ lineId: line.id, amount: inBuild(rebate.amount, line.order.currency), chance: rebate.chance }]
      : []
  })
}

function partsOfChoices(
  rows: readonly ChoiceRow[],
  valued: readonly ValuedLead[],
  itemRows: readonly (typeof items.$inferSelect)[],
  { market, build, today }: LoadedBuild,
  library: ReadonlyMap<string, Part>,
): PartToGet[] {
  return rows.flatMap((row): PartToGet[] => {
    if (row.kind === 'lead') {
      const { lead } = valued.find((each) => each.lead.id === row.leadId)!
      return lead.things
        .filter((thing) => thing.plan === 'keep')
        .flatMap((thing) => Array.from({ length: thing.quantity }, () => library.get(thing.partId)!))
        .map((part, index) => ({ id: thingKey(row.id, index), part, isNew: lead.condition === 'new' }))
    }
    const partId = row.kind === 'hunt' ? row.partId : itemRows.find((each) => each.id === row.itemId)?.partId
    const part = library.get(partId ?? '')
    if (!part) return []
    const isNew = row.kind === 'hunt' && huntsNew(market, build, part, row.condition, today)
    return [{ id: thingKey(row.id, 0), part, isNew }]
  })
}

function partsOfItems(
  { holdings, rootId }: LoadedBuild,
  library: ReadonlyMap<string, Part>,
  dropped: ReadonlySet<string>,
): PartToGet[] {
  return holdings.items
    .filter((row) => fillsRole(row, rootId) && !dropped.has(row.id))
    .map((row) => ({
      id: thingKey(row.id, 0),
      part: partOfItem(row, library),
      isNew: row.condition === 'new' && row.payerId !== null,
    }))
}

function plannedTrips(world: World, { build, rootId, choiceRows, holdings }: LoadedBuild): PlannedTrip[] {
  const rows = [...new Set([build.id, rootId])]
    .flatMap((id) => world.rows.trips.where('buildId', id))
    .filter(({ deletedAt }) => deletedAt === null)
    .sort(byNumber)
  const wanted = new Set([
    ...choiceRows.flatMap((row) => (row.voidBecause === null ? (row.leadId ?? []) : [])),
    ...holdings.items
      // what came was fetched, or is about to be: only who drives says that it was
      .filter(({ place }) => place === 'ordered' || place === 'build')
      .flatMap((item) => holdings.lines.find((line) => line.id === item.lineId)?.leadId ?? []),
  ])
  const { perKm = 0 } = build.houseRules
  return rows.map((trip) => ({
    trip,
    cash: pickupCost({ km: trip.km, perKm, fare: trip.fare, hours: 0, perHour: 0 }),
    isNeeded: world.rows.leads.where('tripId', trip.id).some(({ id }) => wanted.has(id)),
  }))
}

function accountInput(
  { build, holdings }: LoadedBuild,
  chosen: readonly ReadChoice[],
  things: readonly ReadItem[],
  planned: readonly PlannedTrip[],
  { inBuild, rebates }: ItemContext,
): AccountInput {
  const rootCurrency = holdings.currency
  return {
    currency: build.currency,
    budget: build.budget,
    budgetScope: build.budgetScope,
    state: build.state,
    entries: holdings.entries.flatMap((entry): AccountEntry[] =>
      entry.kind === 'hours'
        ? []
        : [{ kind: entry.kind as CashKind, cash: inBuild(entry.cash, rootCurrency), scope: entry.scope }],
    ),
    items: things.map(({ account }) => account),
    planned: [
      ...chosen.flatMap((choice) => choice.planned ?? []),
      ...planned
        .filter(({ trip, isNeeded }) => trip.drivenOn === null && isNeeded)
        .map(({ trip, cash }): AccountPlan => ({
          id: trip.id,
          scope: 'core',
          payNow: inBuild(cash, rootCurrency),
          fault: 0,
          worthToday: 0,
        })),
    ],
    rebates: [...rebates, ...chosen.flatMap((choice) => choice.rebates)],
    takenOver: inBuild(holdings.takenOver, rootCurrency),
    handedOn: inBuild(holdings.handedOn, rootCurrency),
    hours: holdings.entries.reduce((sum, entry) => sum + entry.hours, 0),
  }
}

/** What stands on the receipt beside the things: fees, trips driven and planned. */
function otherLines(
  { holdings }: LoadedBuild,
  planned: readonly PlannedTrip[],
  { inBuild }: ItemContext,
): ReceiptLine[] {
  const rootCurrency = holdings.currency
  const line = (
    id: string,
    label: string,
    kind: ReceiptLine['kind'],
    scope: ReceiptLine['scope'],
    cash: number,
  ) => ({
    id,
    label,
    role: '',
    scope,
    kind,
    payNow: cash,
    afterRebates: cash,
    expected: cash,
    anyoneCanPay: null,
    isThing: false,
    toComeBack: 0,
  })
  return [
    ...holdings.entries
      .filter(({ kind }) => kind === 'fee' || kind === 'travel')
      .map(({ id, text, kind, cash, scope }) =>
        line(id, `${entryKinds[kind]}: ${text}`, 'paid', scope, inBuild(0 - cash, rootCurrency)),
      ),
    ...planned
      .filter(({ trip, isNeeded }) => trip.drivenOn === null && isNeeded)
      .map(({ trip, cash }) =>
        line(trip.id, `trip: ${trip.name}`, 'lead', 'core', inBuild(cash, rootCurrency)),
      ),
  ]
}

/** Core roles that nothing chosen fills: graphics inside the CPU and a cooler in its box count. */
function emptyRolesOf(parts: readonly Part[]): Role[] {
  const has = (role: Role) => parts.some((part) => part.role === role)
  const inCpu = parts.some((part) => part.role === 'cpu' && part.facts.integratedGraphics)
  const inBox = parts.some((part) => part.facts.coolerIncluded)
  return coreRoles.filter(
    (role) => !has(role) && !(role === 'graphics' && inCpu) && !(role === 'cooler' && inBox),
  )
}

/** The report without what cannot be written as JSON: the ways are asked for apart, with their prices. */
function fitViewOf({ findings, settled, ...rest }: FitReport): BuildView['fit'] {
  const plain = ({ fixes: _mends, ...finding }: FitReport['findings'][number]) => finding
  return { ...rest, findings: findings.map(plain), settled: settled.map(plain) }
}

function nameOf(parts: readonly Part[], role: Role): string | null {
  const part = parts.find((each) => each.role === role)
  return part ? partLabel(part) : null
}
