import { faultsOf } from './faults'
import { and, desc, eq, inArray, isNotNull, or } from 'drizzle-orm'
import { paidByChoice } from '#core/ledger/ledger'
import { receipt } from '#core/ledger/receipt'
import { checkFit, type FitReport } from '#core/machine/fit/checkFit'
import { expandDonors } from '#core/parts/expandDonors'
import { coreRoles, partLabel, type Part, type Role } from '#core/parts/part'
import { machinePair } from '#core/performance/model/machineOf'
import type { BuildToWeigh, Scales } from './buildToWeigh'
import { choiceRowsOf } from './choicesOf'
import { findBuild, type BuildRow } from './findBuild'
import { fitBriefOf } from './fitBrief'
import { titlesOf } from './leadTitles'
import { readTargets } from './readTargets'
import { useMarket, type Market } from './market'
import { openOrders, sharesOfOrders } from './openOrders'
import { measuredWatts, usePerformance } from './performance'
import { huntsTogether, readChoice, removedLabel, type ChoiceContext } from './readChoice'
import { valuedLeads } from './valuedLeads'
import type { Database } from '../db/client'
import { targets } from '../db/schema/brief'
import { ledgerEntries } from '../db/schema/ledger'
import { choices } from '../db/schema/machine'
import { shelf } from '../db/schema/shelf'
import type { BuildView } from '#shared/builds/views'
import { arrivalsOf } from './arrivals'

/** A build without its scales. */
export type UnweighedBuild = Omit<BuildView, 'weighing'>

/** A build as calculated, but for its scales; and what the scales need to know of it. */
export async function readBuild(
  db: Database,
  buildId: string,
  today: string,
): Promise<{
  view: UnweighedBuild
  toWeigh: BuildToWeigh
  scales: Scales
}> {
  const build = await findBuild(db, buildId)
  const [market, performance, targetRows, choiceRows, removed] = await Promise.all([
    useMarket(db),
    usePerformance(db),
    db.select().from(targets).where(eq(targets.buildId, buildId)).orderBy(targets.position),
    choiceRowsOf(db, build),
    removedChoices(db, buildId),
  ])
  const entries = await entriesOf(db, buildId, choiceRows)
  const context = await choiceContext(db, { build, market, today, choiceRows, removed, entries })
  const chosen = choiceRows.map((row) => readChoice(row, context))
  const parts = expandDonors(
    chosen.flatMap((choice) => choice.machineParts),
    context.library,
  )
  const lines = chosen.map((choice) => choice.line)
  const targetViews = readTargets(targetRows, parts, performance)
  const account = receipt(build.currency, lines, build)
  const views = chosen.map((choice) => choice.view)
  const view: UnweighedBuild = {
    id: build.id,
    name: build.name,
    purpose: build.purpose,
    currency: build.currency,
    region: build.region,
    budget: build.budget,
    stretch: build.stretch,
    wantedBy: build.wantedBy,
    saleText: build.saleText,
    variantOf: build.variantOf,
    houseRules: build.houseRules,
    assumptions: market.assumptions,
    faults: faultsOf(market, build, today),
    needs: build.needs,
    today,
    targets: targetViews,
    choices: views,
    receipt: account,
    parts,
    fit: fitViewOf(
      checkFit({ parts, brief: fitBriefOf(market, build, today), settled: new Set(build.settled) }),
    ),
    hunts: huntsTogether(chosen, build.wantedBy, today),
    emptyRoles: emptyRolesOf(parts),
    breaches: chosen.flatMap((choice) => choice.breaches),
    machineName: { cpu: nameOf(parts, 'cpu'), graphics: nameOf(parts, 'graphics') },
    workloads: performance.workloads,
    removedChoices: removed.map((row) => ({ id: row.id, label: removedLabel(row, context) })),
  }
  const toWeigh: BuildToWeigh = {
    build,
    choices: views,
    parts,
    targets: targetViews,
    hours: entries.reduce((sum, entry) => sum + entry.hours, 0),
    measuredW: measuredWatts(performance, machinePair(parts)),
  }
  return { view, toWeigh, scales: { market, performance, today } }
}

type ChoiceRow = typeof choices.$inferSelect
type EntryRow = typeof ledgerEntries.$inferSelect

/** The last choices removed, newest first. */
function removedChoices(db: Database, buildId: string): Promise<ChoiceRow[]> {
  return db
    .select()
    .from(choices)
    .where(and(eq(choices.buildId, buildId), isNotNull(choices.deletedAt)))
    .orderBy(desc(choices.deletedAt))
    .limit(5)
}

/** Entries of the build, and of choices it has from the build it is a variant of. */
function entriesOf(db: Database, buildId: string, rows: readonly ChoiceRow[]): Promise<EntryRow[]> {
  const ids = rows.map((row) => row.id)
  return db
    .select()
    .from(ledgerEntries)
    .where(or(eq(ledgerEntries.buildId, buildId), inArray(ledgerEntries.choiceId, ids)))
}

interface LoadedBuild {
  readonly build: BuildRow
  readonly market: Market
  readonly today: string
  readonly choiceRows: readonly ChoiceRow[]
  readonly removed: readonly ChoiceRow[]
  readonly entries: readonly EntryRow[]
}

/** What the choices of a build are read against, loaded at once. */
async function choiceContext(
  db: Database,
  { build, market, today, choiceRows, removed, entries }: LoadedBuild,
): Promise<ChoiceContext> {
  const leadIds = choiceRows.flatMap((choice) => choice.leadId ?? [])
  const removedLeads = removed.flatMap((choice) => choice.leadId ?? [])
  const shelfIds = [...choiceRows, ...removed].flatMap((choice) => choice.shelfId ?? [])
  const ids = choiceRows.map((row) => row.id)
  const [leads, leadTitles, shelfRows, arrived] = await Promise.all([
    valuedLeads(db, market, build, today, leadIds),
    titlesOf(db, removedLeads),
    shelfIds.length === 0 ? [] : db.select().from(shelf).where(inArray(shelf.id, shelfIds)),
    arrivalsOf(db, ids),
  ])
  const unpaid = new Set(choiceRows.flatMap((row) => (row.paidOn === null ? (row.leadId ?? []) : [])))
  const orders = openOrders(leads.filter(({ lead }) => unpaid.has(lead.id)))
  return {
    build,
    market,
    library: new Map(market.library.map((part) => [part.id, part])),
    leads,
    shelfRows,
    leadTitles,
    today,
    joined: sharesOfOrders(orders, build.currency, market.rates, today),
    paid: paidByChoice(entries),
    arrived,
  }
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
