import { and, desc, eq, inArray, isNotNull, isNull, or } from 'drizzle-orm'
import { checkFit, type FitReport } from '#core/fit/checkFit'
import { expandDonors } from '#core/parts/expandDonors'
import { paidByChoice } from '#core/ledger/ledger'
import { formatAmount } from '#core/money/formatAmount'
import { coreRoles, partLabel, type Need, type Part, type Role } from '#core/parts/part'
import { estimateFrameRate } from '#core/performance/estimateFrameRate'
import { judgeTarget } from '#core/performance/judgeTarget'
import { evidenceAt } from '#core/performance/limitEvidence'
import { frameMachineOf, machinePair } from '#core/performance/machineOf'
import { excludedBecause } from '#core/performance/run'
import type { Workload } from '#core/performance/workload'
import { receipt } from '#core/receipt/receipt'
import { compareRates } from '#core/weighing/compareRates'
import { likeForLike } from '#core/weighing/likeForLike'
import type { MachineRate, NeedPrices, WeighedMachine } from '#core/weighing/machine'
import { weighingVerdict } from '#core/weighing/verdict'
import { convertAmount, rateTable } from '#core/money/rates'
import type { BuildView, TargetView } from '#shared/views'
import type { Database } from '../db/client'
import { buildRivals, builds, choices, ledgerEntries, rivalRates, rivals, shelf, targets } from '../db/schema'
import { NotFoundError } from '../http/errors'
import { titlesOf } from './leadViews'
import { valuedLeads } from './valuedLeads'
import { useMarket, type Market } from './market'
import { arrivalsOf } from './purchase/arrivals'
import { huntsTogether, readChoice, removedLabel, type ChoiceContext, type ReadChoice } from './readChoice'
import { choiceRowsOf } from './choicesOf'
import { fitBriefOf } from './fitBrief'
import { openOrders, sharesOfOrders } from './openOrders'
import { usePerformance, type Performance } from './performance'

type BuildRow = typeof builds.$inferSelect

/** Everything the interface shows of a build, computed from what is stored. */
export async function buildView(db: Database, buildId: string, today: string): Promise<BuildView> {
  const [build] = await db.select().from(builds).where(and(eq(builds.id, buildId), isNull(builds.deletedAt)))
  if (!build) throw new NotFoundError(`there is no build "${buildId}"`)
  const [market, performance, targetRows, choiceRows, removed] = await Promise.all([
    useMarket(db), usePerformance(db),
    db.select().from(targets).where(eq(targets.buildId, buildId)).orderBy(targets.position),
    choiceRowsOf(db, build),
    db.select().from(choices).where(and(eq(choices.buildId, buildId), isNotNull(choices.deletedAt))).orderBy(desc(choices.deletedAt)).limit(5),
  ])
  const library = new Map(market.library.map((part) => [part.id, part]))
  const leads = await valuedLeads(db, market, build, today, choiceRows.flatMap((choice) => choice.leadId ?? []))
  const leadTitles = await titlesOf(db, removed.flatMap((choice) => choice.leadId ?? []))
  const shelfIds = [...choiceRows, ...removed].flatMap((choice) => choice.shelfId ?? [])
  const shelfRows = shelfIds.length === 0 ? [] : await db.select().from(shelf).where(inArray(shelf.id, shelfIds))
  const [entries, arrived] = await Promise.all([db.select().from(ledgerEntries).where(or(eq(ledgerEntries.buildId, buildId), inArray(ledgerEntries.choiceId, choiceRows.map((row) => row.id)))), arrivalsOf(db, choiceRows.map((row) => row.id))])
  const unpaid = new Set(choiceRows.flatMap((row) => (row.paidOn === null && row.leadId !== null ? [row.leadId] : [])))
  const joined = sharesOfOrders(openOrders(leads.filter(({ lead }) => unpaid.has(lead.id))), build.currency, market.rates, today)
  const context: ChoiceContext = { build, market, library, leads, shelfRows, leadTitles, today, joined, paid: paidByChoice(entries), arrived }
  const chosen = choiceRows.map((row) => readChoice(row, context))
  const parts = expandDonors(chosen.flatMap((choice) => choice.machineParts), library)
  const lines = chosen.map((choice) => choice.line)
  const machine = frameMachineOf(parts)
  const { workloads } = performance
  const pair = machinePair(parts)
  const targetViews = targetRows.map((row): TargetView => {
    const workload = workloads.find((each) => each.id === row.workloadId)!
    const estimate = machine.machine ? estimateFrameRate(workload, machine.machine, row, pair === null ? [] : evidenceAt(performance.evidence, workload, pair, row)) : null
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
  return {
    id: build.id, name: build.name, purpose: build.purpose, currency: build.currency, region: build.region, budget: build.budget, stretch: build.stretch,
    wantedBy: build.wantedBy, saleText: build.saleText, variantOf: build.variantOf, houseRules: build.houseRules, needs: build.needs, today,
    targets: targetViews,
    choices: chosen.map((choice) => choice.view),
    receipt: account,
    parts,
    fit: fitViewOf(checkFit({ parts, brief: fitBriefOf(build, today), settled: new Set(build.settled) })),
    hunts: huntsTogether(chosen, build.wantedBy, today),
    emptyRoles: coreRoles.filter((role) => !parts.some((part) => part.role === role) && !(role === 'graphics' && parts.some((part) => part.role === 'cpu' && part.facts.integratedGraphics)) && !(role === 'cooler' && parts.some((part) => part.facts.coolerIncluded))),
    breaches: chosen.flatMap((choice) => choice.breaches),
    machineName: { cpu: nameOf(parts, 'cpu'), graphics: nameOf(parts, 'graphics') },
    weighing: await weigh(db, build, account.totals.anyoneCanPay, chosen, targetViews, { market, library, workloads, today }),
    workloads,
    removedChoices: removed.map((row) => ({ id: row.id, label: removedLabel(row, context) })),
  }
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
    if (run.pair !== pair || run.scene !== '' || run.settings.upscaling !== undefined || run.settings.frameGeneration || !sameSettings(row, target)) return []
    const excluded = excludedBecause(run)
    return [{ id: run.id, averageFps: run.averageFps, lowFps: run.lowFps, kind: run.kind, ranOn: row.ranOn, note: row.note, excluded, stands: excluded === null && run.kind !== 'published' }]
  })
  return found.sort((a, b) => Number(b.stands) - Number(a.stands) || Number(b.kind === 'own-log') - Number(a.kind === 'own-log') || (a.ranOn < b.ranOn ? 1 : -1))
}

function exactly({ averageFps, lowFps }: { averageFps: number; lowFps: number | null }): Parameters<typeof judgeTarget>[0] {
  // a low that was not noted cannot miss its mark
  const low = lowFps ?? Infinity
  return { range: { low: averageFps, high: averageFps }, lowRange: { low, high: low } }
}

interface Settings { workloadId: string; width: number; height: number; preset: string | null }
function sameSettings(a: Settings, b: Settings): boolean {
  return a.workloadId === b.workloadId && a.width === b.width && a.height === b.height && a.preset === b.preset
}

interface WeighContext {
  readonly market: Market
  readonly library: ReadonlyMap<string, Part>
  readonly workloads: readonly Workload[]
  readonly today: string
}

async function weigh(db: Database, build: BuildRow, price: number, chosen: readonly ReadChoice[], targetViews: readonly TargetView[], context: WeighContext): Promise<BuildView['weighing']> {
  const needPrices: NeedPrices = Object.fromEntries(build.needs.map(({ need, price: needPrice }) => [need, needPrice]))
  const settings = (each: { width: number; height: number; preset: string | null }) => (each.preset === null ? null : `${each.width}x${each.height} ${each.preset}`)
  const own: WeighedMachine = {
    id: build.id, name: build.name, kind: 'build', price, taxPercent: 0, shipping: 0,
    brings: chosen.flatMap((choice) => choice.machineParts.flatMap((part): Need[] => (part.facts.covers ? [part.facts.covers] : []))),
    rates: targetViews.flatMap((target): MachineRate[] => {
      const measured = target.measured.find((run) => run.stands)
      if (measured) return [{ workloadId: target.workloadId, settings: settings(target), averageFps: measured.averageFps, lowFps: measured.lowFps, kind: 'measured' }]
      return target.estimate ? [{ workloadId: target.workloadId, settings: settings(target), averageFps: target.estimate.averageFps, lowFps: target.estimate.lowFps, kind: 'estimate' }] : []
    }),
    notStated: [],
  }
  const chosenRivals = await db.select({ rival: rivals }).from(buildRivals).innerJoin(rivals, eq(rivals.id, buildRivals.rivalId)).where(and(eq(buildRivals.buildId, build.id), isNull(rivals.deletedAt)))
  const rates = chosenRivals.length === 0 ? [] : await db.select().from(rivalRates).where(inArray(rivalRates.rivalId, chosenRivals.map(({ rival }) => rival.id)))
  const table = rateTable(context.market.rates)
  const ownCost = likeForLike(own, needPrices)
  const others = chosenRivals.map(({ rival }) => {
    const rate = table.rateOn(context.today, rival.currency, build.currency)
    const inBuild = (amount: number) => convertAmount(amount, rival.currency, build.currency, rate)
    const stated = rates.filter((each) => each.rivalId === rival.id)
    const machine: WeighedMachine = {
      id: rival.id, name: rival.name, kind: rival.kind, price: inBuild(rival.price), taxPercent: rival.taxPercent, shipping: inBuild(rival.shipping), brings: rival.brings, notStated: rival.notStated,
      rates: [
        ...stated.map((each): MachineRate => ({ workloadId: each.workloadId, settings: settings(each), averageFps: each.averageFps, lowFps: each.lowFps, kind: 'stated' })),
        ...estimatedRates(rival, targetViews.filter((target) => !stated.some((each) => sameSettings(each, target))), context),
      ],
    }
    const cost = likeForLike(machine, needPrices)
    const comparison = compareRates(own, machine)
    const verdict = weighingVerdict({
      ownName: build.name, otherName: rival.name, ownCost: ownCost.total, otherCost: cost.total, comparison, notStated: rival.notStated, formatMoney: (amount) => formatAmount(amount, build.currency),
    })
    return { machine, cost, comparison, verdict }
  })
  return { own: { machine: own, cost: ownCost, comparison: null, verdict: null }, others, switchedOff: [] }
}

/** A prebuilt whose CPU and card are known is estimated at the brief's own settings. */
function estimatedRates(rival: typeof rivals.$inferSelect, targetViews: readonly TargetView[], { library, workloads }: WeighContext): MachineRate[] {
  const parts = [rival.cpuId, rival.graphicsId].flatMap((id) => (id === null ? [] : (library.get(id) ?? [])))
  const { machine } = frameMachineOf(parts)
  if (!machine) return []
  return targetViews.map((target) => {
    const estimate = estimateFrameRate(workloads.find((each) => each.id === target.workloadId)!, machine, target)
    return { workloadId: target.workloadId, settings: `${target.width}x${target.height} ${target.preset}`, averageFps: estimate.averageFps, lowFps: estimate.lowFps, kind: 'estimate' }
  })
}
