import { and, desc, eq, inArray, isNotNull, or } from 'drizzle-orm'
import { paidByChoice } from '#core/ledger/ledger'
import { receipt } from '#core/ledger/receipt'
import { checkFit, type FitReport } from '#core/machine/fit/checkFit'
import { expandDonors } from '#core/parts/expandDonors'
import { coreRoles, partLabel, type Part, type Role } from '#core/parts/part'
import { evidenceAt } from '#core/performance/fitting/limitEvidence'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { judgeTarget } from '#core/performance/model/judgeTarget'
import { frameMachineOf, machinePair } from '#core/performance/model/machineOf'
import { excludedBecause } from '#core/performance/runs/run'
import type { BuildToWeigh, Scales } from '#server/context/buildToWeigh'
import { choiceRowsOf } from '#server/context/choicesOf'
import { findBuild } from '#server/context/findBuild'
import { fitBriefOf } from '#server/context/fitBrief'
import { titlesOf } from '#server/context/leadTitles'
import { useMarket } from '#server/context/market'
import { openOrders, sharesOfOrders } from '#server/context/openOrders'
import { measuredWatts, usePerformance, type Performance } from '#server/context/performance'
import { huntsTogether, readChoice, removedLabel, type ChoiceContext } from '#server/context/readChoice'
import { valuedLeads } from '#server/context/valuedLeads'
import type { Database } from '#server/db/client'
import { targets } from '#server/db/schema/brief'
import { ledgerEntries } from '#server/db/schema/ledger'
import { choices } from '#server/db/schema/machine'
import { shelf } from '#server/db/schema/shelf'
import { NotFoundError } from '#server/errors/notFoundError'
import type { TargetView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import { arrivalsOf } from '#server/context/arrivals'
import { weighBuild } from '../scales/readScales'

/** Everything the interface shows of a build, computed from what is stored. */
export async function buildView(db: Database, buildId: string, today: string): Promise<BuildView> {
  const { view, toWeigh, scales } = await readBuild(db, buildId, today)
  // another build on the scales is read without its own scales, so that two may weigh each other
  const loadBuild = (id: string) =>
    readBuild(db, id, today).then(
      (other) => other.toWeigh,
      (error: unknown) => {
        if (error instanceof NotFoundError) return null
        throw error
      },
    )
  return { ...view, weighing: await weighBuild(db, toWeigh, scales, loadBuild) }
}

/** A build as calculated, but for its scales; and what the scales need to know of it. */
export async function readBuild(
  db: Database,
  buildId: string,
  today: string,
): Promise<{
  view: Omit<BuildView, 'weighing'>
  toWeigh: BuildToWeigh
  scales: Scales
}> {
  const build = await findBuild(db, buildId)
  const [market, performance, targetRows, choiceRows, removed] = await Promise.all([
    useMarket(db),
    usePerformance(db),
    db.select().from(targets).where(eq(targets.buildId, buildId)).orderBy(targets.position),
    choiceRowsOf(db, build),
    db
      .select()
      .from(choices)
      .where(and(eq(choices.buildId, buildId), isNotNull(choices.deletedAt)))
      .orderBy(desc(choices.deletedAt))
      .limit(5),
  ])
  const library = new Map(market.library.map((part) => [part.id, part]))
  const leads = await valuedLeads(
    db,
    market,
    build,
    today,
    choiceRows.flatMap((choice) => choice.leadId ?? []),
  )
  const leadTitles = await titlesOf(
    db,
    removed.flatMap((choice) => choice.leadId ?? []),
  )
  const shelfIds = [...choiceRows, ...removed].flatMap((choice) => choice.shelfId ?? [])
  const shelfRows =
    shelfIds.length === 0 ? [] : await db.select().from(shelf).where(inArray(shelf.id, shelfIds))
  const [entries, arrived] = await Promise.all([
    db
      .select()
      .from(ledgerEntries)
      .where(
        or(
          eq(ledgerEntries.buildId, buildId),
          inArray(
            ledgerEntries.choiceId,
            choiceRows.map((row) => row.id),
          ),
        ),
      ),
    arrivalsOf(
      db,
      choiceRows.map((row) => row.id),
    ),
  ])
  const unpaid = new Set(
    choiceRows.flatMap((row) => (row.paidOn === null && row.leadId !== null ? [row.leadId] : [])),
  )
  const joined = sharesOfOrders(
    openOrders(leads.filter(({ lead }) => unpaid.has(lead.id))),
    build.currency,
    market.rates,
    today,
  )
  const context: ChoiceContext = {
    build,
    market,
    library,
    leads,
    shelfRows,
    leadTitles,
    today,
    joined,
    paid: paidByChoice(entries),
    arrived,
  }
  const chosen = choiceRows.map((row) => readChoice(row, context))
  const parts = expandDonors(
    chosen.flatMap((choice) => choice.machineParts),
    library,
  )
  const lines = chosen.map((choice) => choice.line)
  const machine = frameMachineOf(parts)
  const { workloads } = performance
  const pair = machinePair(parts)
  const targetViews = targetRows.map((row): TargetView => {
    const workload = workloads.find((each) => each.id === row.workloadId)!
    const estimate = machine.machine
      ? estimateFrameRate(
          workload,
          machine.machine,
          row,
          pair === null ? [] : evidenceAt(performance.evidence, workload, pair, row),
        )
      : null
    const measured = pair === null ? [] : measuredAt(performance, pair, row)
    const own = measured.find((run) => run.stands)
    return {
      ...row,
      workload: workload.name,
      estimate,
      verdict: own ? judgeTarget(exactly(own), row) : estimate ? judgeTarget(estimate, row) : null,
      missing: machine.missing,
      measured,
    }
  })
  const account = receipt(build.currency, lines, build)
  const views = chosen.map((choice) => choice.view)
  const view: Omit<BuildView, 'weighing'> = {
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
    needs: build.needs,
    today,
    targets: targetViews,
    choices: views,
    receipt: account,
    parts,
    fit: fitViewOf(checkFit({ parts, brief: fitBriefOf(build, today), settled: new Set(build.settled) })),
    hunts: huntsTogether(chosen, build.wantedBy, today),
    emptyRoles: coreRoles.filter(
      (role) =>
        !parts.some((part) => part.role === role) &&
        !(
          role === 'graphics' && parts.some((part) => part.role === 'cpu' && part.facts.integratedGraphics)
        ) &&
        !(role === 'cooler' && parts.some((part) => part.facts.coolerIncluded)),
    ),
    breaches: chosen.flatMap((choice) => choice.breaches),
    machineName: { cpu: nameOf(parts, 'cpu'), graphics: nameOf(parts, 'graphics') },
    workloads,
    removedChoices: removed.map((row) => ({ id: row.id, label: removedLabel(row, context) })),
  }
  const toWeigh: BuildToWeigh = {
    build,
    choices: views,
    parts,
    targets: targetViews,
    hours: entries.reduce((sum, entry) => sum + entry.hours, 0),
    measuredW: measuredWatts(performance, pair),
  }
  return { view, toWeigh, scales: { market, performance, today } }
}

/** The report without what cannot be written as JSON: the ways are asked for apart, with their prices. */
function fitViewOf({ findings, settled, ...rest }: FitReport): BuildView['fit'] {
  const plain = ({ mends: _mends, ...finding }: FitReport['findings'][number]) => finding
  return { ...rest, findings: findings.map(plain), settled: settled.map(plain) }
}

function nameOf(parts: readonly Part[], role: Role): string | null {
  const part = parts.find((each) => each.role === role)
  return part ? partLabel(part) : null
}

/** Measured results of a pair of parts at the settings of a target and in the reference scene; the one that stands in for the estimate first. */
function measuredAt({ runs, rows }: Performance, pair: string, target: Settings): TargetView['measured'] {
  const found = runs.flatMap((run, index) => {
    const row = rows[index]!
    if (
      run.pair !== pair ||
      run.scene !== '' ||
      run.settings.upscaling !== undefined ||
      run.settings.frameGeneration ||
      !sameSettings(row, target)
    )
      return []
    const excluded = excludedBecause(run)
    return [
      {
        id: run.id,
        averageFps: run.averageFps,
        lowFps: run.lowFps,
        kind: run.kind,
        ranOn: row.ranOn,
        note: row.note,
        excluded,
        stands: excluded === null && run.kind !== 'published',
      },
    ]
  })
  return found.sort(
    (a, b) =>
      Number(b.stands) - Number(a.stands) ||
      Number(b.kind === 'own-log') - Number(a.kind === 'own-log') ||
      (a.ranOn < b.ranOn ? 1 : -1),
  )
}

function exactly({
  averageFps,
  lowFps,
}: {
  averageFps: number
  lowFps: number | null
}): Parameters<typeof judgeTarget>[0] {
  // a low that was not noted cannot miss its mark
  const low = lowFps ?? Infinity
  return { range: { low: averageFps, high: averageFps }, lowRange: { low, high: low } }
}

interface Settings {
  workloadId: string
  width: number
  height: number
  preset: string | null
}

function sameSettings(a: Settings, b: Settings): boolean {
  return (
    a.workloadId === b.workloadId && a.width === b.width && a.height === b.height && a.preset === b.preset
  )
}
