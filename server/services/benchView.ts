import { and, eq, isNull, ne } from 'drizzle-orm'
import { formatAmount } from '#core/money/formatAmount'
import { partLabel, roleNames, type Part } from '#core/parts/part'
import { geometricMean } from '#core/performance/beforeAfter'
import { estimateFrameRate } from '#core/performance/estimateFrameRate'
import { forecastRecord, keepForecast } from '#core/performance/forecast'
import type { FrameMachine } from '#core/performance/frameTime'
import { frameValue, type ValuedMachine } from '#core/performance/frameValue'
import { indexNeeded } from '#core/performance/indexNeeded'
import { livingWithIt } from '#core/performance/livingWithIt'
import { frameMachineOf, machinePair } from '#core/performance/machineOf'
import { nextMeasurement } from '#core/performance/nextMeasurement'
import { gainOf, nextUp } from '#core/performance/partUp'
import { repeatSummary } from '#core/performance/repeats'
import { excludedBecause, noReadings, plainConditions } from '#core/performance/run'
import { estimateWork } from '#core/performance/throughput'
import type { Workload } from '#core/performance/workload'
import { powerSheet } from '#core/power/powerSheet'
import { efficiencyAt } from '#core/power/wallDraw'
import { likeForLike } from '#core/weighing/likeForLike'
import { baseMachines, supplyFor } from '#core/worth/baseMachines'
import type { BenchTarget, BenchView, BuildView, RunView, StepsView } from '#shared/views'
import type { Database } from '../db/client'
import { builds, forecasts, frameLogs, workResults, workTasks } from '../db/schema'
import { buildView } from './buildView'
import { fitBriefOf, machineRules } from './fitBrief'
import { useMarket, type Market } from './market'
import { usePerformance, type Performance } from './performance'
import { pricedLibrary } from './pricedLibrary'
import { stepsView } from './stepsView'

const mostBuilds = 12

/** Bench of a build: what its targets need, every run, forecasts, other work, frames for money, living with it. */
export async function benchView(db: Database, buildId: string, today: string): Promise<BenchView> {
  const [view, performance, market, logs, frozen, tasks] = await Promise.all([
    buildView(db, buildId, today), usePerformance(db), useMarket(db),
    db.select({ id: frameLogs.id, runId: frameLogs.runId, name: frameLogs.name, frames: frameLogs.frames }).from(frameLogs),
    db.select().from(forecasts).where(eq(forecasts.buildId, buildId)).orderBy(forecasts.madeOn, forecasts.id),
    tasksOf(db),
  ])
  const { machine } = frameMachineOf(view.parts)
  const pair = machinePair(view.parts)
  const steps = view.targets.length === 0 || !machine ? null : await Promise.all([stepsView(db, buildId, today, 'graphics'), stepsView(db, buildId, today, 'cpu')])
  const library = new Map(market.library.map((part) => [part.id, part]))
  const runs = performance.runs.map((_, index) => runView(performance, index, library, pair, logs))
  const kept = frozen.map((row) => {
    const first = runs.find((run) => run.pair === `${row.cpuId} + ${row.graphicsId}` && run.workloadId === row.workloadId && run.settings.width === row.width && run.settings.height === row.height && run.settings.preset === row.preset && run.excluded === null && run.kind !== 'published')
    const forecast = { id: row.id, workloadId: row.workloadId, averageFps: row.averageFps, range: { low: row.low, high: row.high } }
    return { ...forecast, workload: nameOf(performance, row.workloadId), settings: `${row.height}p ${row.preset}`, madeOn: row.madeOn, kept: first ? keepForecast(forecast, first.averageFps) : null }
  })
  return {
    machine, pair,
    targets: machine && steps ? view.targets.map((target, index) => benchTarget(target, index, view, machine, market.library, steps)) : [],
    runs: runs.reverse(),
    machines: machinesOf(runs),
    forecasts: kept,
    record: forecastRecord(kept.flatMap((each) => each.kept ?? [])).map((each) => ({ ...each, workload: nameOf(performance, each.workloadId) })),
    tasks: taskViews(tasks, view, library),
    value: await valueOf(db, view, market, today),
    living: await livingOf(db, view, runs, pair, today),
  }
}

function nameOf({ workloads }: Performance, id: string): string {
  return workloads.find((each) => each.id === id)?.name ?? id
}

function benchTarget(target: BuildView['targets'][number], index: number, view: BuildView, machine: FrameMachine, library: readonly Part[], steps: readonly StepsView[]): BenchTarget {
  const workload = view.workloads.find((each) => each.id === target.workloadId)!
  const need = workload.presets[target.preset]!.videoMemoryGb
  const up = (side: 'graphics' | 'cpu') => {
    const socket = view.parts.find((part) => part.role === 'motherboard')?.facts.socket
    const fitting = side === 'cpu' && socket !== undefined ? library.filter((part) => part.facts.socket === socket) : library
    const part = nextUp(fitting, side, side === 'graphics' ? machine.graphicsIndex : machine.cpuIndex)
    return part && target.estimate ? { name: partLabel(part), gain: gainOf(part, target.estimate, workload, machine, need) } : null
  }
  const reaching = target.verdict === 'met' ? [] : steps.flatMap(({ roles }) => roles.flatMap(({ role, steps: each }) => each.flatMap((step) => {
    const after = step.targets[index]
    return after && after.after >= after.wanted ? [{ name: step.name, role, more: step.more, fps: after.after }] : []
  })))
  return {
    id: target.id, graphicsNeeded: indexNeeded(workload, machine, target, target, 'graphics'), cpuNeeded: indexNeeded(workload, machine, target, target, 'cpu'),
    nextCard: up('graphics'), nextCpu: up('cpu'), change: reaching.sort((a, b) => a.more - b.more)[0] ?? null, measure: nextMeasurement(workload, machine, target),
  }
}

function runView(performance: Performance, index: number, library: ReadonlyMap<string, Part>, pair: string | null, logs: readonly { id: string; runId: string; name: string; frames: number }[]): RunView {
  const run = performance.runs[index]!
  const row = performance.rows[index]!
  const workload = performance.workloads.find((each) => each.id === run.workloadId)
  const residual = workload?.fit?.residuals.find((each) => each.runId === run.id)
  const label = (id: string | null) => (id === null ? null : library.has(id) ? partLabel(library.get(id)!) : id)
  return {
    id: run.id, workloadId: run.workloadId, workload: workload?.name ?? run.workloadId, pair: run.pair, machine: [label(row.cpuId), label(row.graphicsId)].filter((each) => each !== null).join(' + ') || row.origin || 'a console',
    isThisMachine: run.pair === pair, kind: run.kind, settings: run.settings, scene: run.scene, averageFps: run.averageFps, lowFps: run.lowFps, minFps: row.minFps, maxFps: row.maxFps, repeats: run.repeats,
    spread: repeatSummary(run.repeats)?.spread ?? null, conditions: run.conditions, readings: run.readings, lowsCause: run.lowsCause, noise: row.noise, feeling: row.feeling, origin: row.origin, ranOn: row.ranOn, note: row.note,
    excluded: excludedBecause(run), overruled: run.overruled, residual: residual ? { fitted: residual.fitted, leftOut: residual.leftOut } : null,
    logs: logs.filter((log) => log.runId === run.id).map(({ id, name, frames }) => ({ id, name, frames })),
  }
}

function machinesOf(runs: readonly RunView[]): BenchView['machines'] {
  const counts = new Map<string, { pair: string; name: string; runs: number }>()
  for (const run of runs) counts.set(run.pair, { pair: run.pair, name: run.machine, runs: (counts.get(run.pair)?.runs ?? 0) + 1 })
  return [...counts.values()].sort((a, b) => b.runs - a.runs || (a.name < b.name ? -1 : 1))
}

async function tasksOf(db: Database) {
  const [tasks, results] = await Promise.all([db.select().from(workTasks).orderBy(workTasks.name), db.select().from(workResults).where(isNull(workResults.deletedAt)).orderBy(workResults.ranOn)])
  return { tasks, results }
}

function taskViews({ tasks, results }: Awaited<ReturnType<typeof tasksOf>>, view: BuildView, library: ReadonlyMap<string, Part>): BenchView['tasks'] {
  const cpu = view.parts.find((part) => part.role === 'cpu')
  const machineFor = (part: Part | undefined) => (part?.facts.cpuIndex === undefined ? null : { cpuIndex: part.facts.cpuIndex, threads: part.facts.threads ?? part.facts.cores ?? 4 })
  const references = results.flatMap((row) => {
    const machine = machineFor(library.get(row.cpuId))
    return machine ? [{ taskId: row.taskId, machine, value: row.value }] : []
  })
  const own = machineFor(cpu)
  return tasks.map((task) => ({
    ...task, estimate: own ? estimateWork(task, own, references) : null,
    results: results.filter((row) => row.taskId === task.id).map(({ id, cpuId, value, feeling, kind, ranOn, note }) => ({ id, cpu: library.has(cpuId) ? partLabel(library.get(cpuId)!) : cpuId, value, feeling, kind, ranOn, note, isThisMachine: cpuId === cpu?.id })),
  }))
}

/** Geometric mean of frames over the targets of a build, for any machine; null where it cannot be known. */
function framesOf(view: BuildView, machine: FrameMachine | null): number | null {
  if (!machine || view.targets.length === 0) return null
  return geometricMean(view.targets.map((target) => estimateFrameRate(view.workloads.find((each) => each.id === target.workloadId)! as Workload, machine, target).averageFps))
}

async function valueOf(db: Database, view: BuildView, market: Market, today: string): Promise<BenchView['value']> {
  const others = await db.select({ id: builds.id, currency: builds.currency }).from(builds).where(and(isNull(builds.deletedAt), ne(builds.id, view.id))).limit(mostBuilds)
  const alike = await Promise.all(others.filter((each) => each.currency === view.currency).map((each) => buildView(db, each.id, today)))
  const asMachine = (each: BuildView, cost: number): ValuedMachine[] => {
    const frames = framesOf(view, frameMachineOf(each.parts).machine)
    return frames === null || cost <= 0 || lacks(each) !== null ? [] : [{ id: each.id, name: each.name, kind: 'build', cost, frames }]
  }
  const [build] = await db.select().from(builds).where(eq(builds.id, view.id))
  const rivals = view.weighing.others.flatMap(({ machine }): ValuedMachine[] => {
    const rates = view.targets.map((target) => machine.rates.find((rate) => rate.workloadId === target.workloadId && rate.settings === `${target.width}x${target.height} ${target.preset}`)?.averageFps)
    // by its seller's terms, whatever is switched off on the scales
    const weighed = likeForLike(machine, { ...view.weighing.terms, off: [], edits: {} })
    const cost = weighed.steps.filter((step) => step.id === 'price' || step.id === 'tax' || step.id === 'shipping').reduce((sum, step) => sum + step.amount, 0)
    const frames = rates.length > 0 && rates.every((rate) => rate !== undefined) ? geometricMean(rates as number[]) : null
    return frames === null ? [] : [{ id: machine.id, name: machine.name, kind: 'rival', cost, frames }]
  })
  const own = framesOf(view, frameMachineOf(view.parts).machine) ?? 0
  // machines half as fast as this one are no choice beside it
  const library = libraryMachines(view, market, build!, today).filter((machine) => machine.frames >= own / 2)
  const staircase = (costOf: (each: BuildView) => number) => shortStaircase(frameValue([...[view, ...alike].flatMap((each) => asMachine(each, costOf(each))), ...rivals, ...library]))
  return {
    anyone: staircase((each) => coreTotals(each).anyoneCanPay), paid: staircase((each) => coreTotals(each).payNow),
    leftOut: [view, ...alike].flatMap((each) => (lacks(each) === null ? [] : [`${each.name} (${lacks(each)!})`])),
  }
}

/** The machine alone: licence and peripherals are no part of what frames cost. */
function coreTotals({ receipt }: BuildView): BuildView['receipt']['totals'] {
  return receipt.byScope.find(({ scope }) => scope === 'core')!.totals
}

/** Why a build has no whole cost or no frames, in words; null where it has both. */
function lacks({ parts, emptyRoles, receipt }: BuildView): string | null {
  const { missing } = frameMachineOf(parts)
  if (missing.length > 0) return `it wants ${missing.join(' and ')}`
  if (emptyRoles.length > 0) return `no ${emptyRoles.map((role) => roleNames[role]).join(', no ')} yet`
  return receipt.totals.unknownStreet > 0 ? `${receipt.totals.unknownStreet} of its things have no street price` : null
}

/** Whole machines from the library at street prices: a base around each CPU, a card, a supply strong enough. */
function libraryMachines(view: BuildView, market: Market, build: typeof builds.$inferSelect, today: string): ValuedMachine[] {
  const priced = pricedLibrary(market, build, today)
  const cards = priced.filter(({ part }) => part.role === 'graphics' && part.facts.graphicsIndex !== undefined)
  return baseMachines(priced).flatMap((base) => cards.flatMap(({ part, price }): ValuedMachine[] => {
    const supply = supplyFor(priced, base.cpu, part)
    const frames = framesOf(view, frameMachineOf([...base.parts.map((each) => each.part), part]).machine)
    return supply === null || frames === null ? [] : [{ id: `${base.id} + ${part.id}`, name: `${base.name} with ${part.name}`, kind: 'library', cost: base.price + price + supply.price, frames }]
  }))
}

/** Every build and rival, and of the library's machines those that are treads. */
function shortStaircase(steps: ReturnType<typeof frameValue>): ReturnType<typeof frameValue> {
  return steps.filter((step) => step.kind !== 'library' || step.beatenBy === null)
}

async function livingOf(db: Database, view: BuildView, runs: readonly RunView[], pair: string | null, today: string): Promise<BenchView['living']> {
  const [build] = await db.select().from(builds).where(eq(builds.id, view.id))
  const rules = machineRules(build!)
  const year = fitBriefOf(build!, today).year
  const power = powerSheet(view.parts, { rule: rules.supplyRule, year, fullHours: rules.fullHours, idleHours: rules.idleHours, tariff: rules.tariff })
  const supply = view.parts.find((part) => part.role === 'supply')
  return livingWithIt({
    runs: runs.filter((run) => run.pair === pair).map((run) => ({ readings: { ...noReadings, ...run.readings }, conditions: { ...plainConditions, ...run.conditions }, lowsCause: run.lowsCause, noise: run.noise })),
    supply: power.supply ? { nowW: power.supply.nowW, efficiency: efficiencyAt(power.sustained / power.supply.ratedW, supply?.facts.efficiency) } : null,
    estimatedWallW: power.wall?.full ?? null,
    yearlyWords: power.yearly === null ? null : `${formatAmount(power.yearly, view.currency)} ${view.currency} a year at ${rules.fullHours} h of full load and ${rules.idleHours} h idle a day`,
    wantsQuiet: /\b(quiet|silent)\b/i.test(view.purpose),
  })
}
