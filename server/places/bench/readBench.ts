import { formatAmount } from '#core/money/formatAmount'
import { partLabel, type Part } from '#core/parts/part'
import { forecastRecord, keepForecast } from '#core/performance/runs/forecast'
import { videoMemoryNeed, type FrameMachine } from '#core/performance/model/frameTime'
import { indexNeeded } from '#core/performance/model/indexNeeded'
import { livingWithIt } from '#core/performance/runs/livingWithIt'
import { frameMachineOf, machinePair } from '#core/performance/model/machineOf'
import { nextMeasurement } from '#core/performance/fitting/nextMeasurement'
import { gainOf, nextUp } from '#core/performance/model/partUp'
import { repeatSummary } from '#core/performance/runs/repeats'
import { excludedBecause, noReadings, plainConditions } from '#core/performance/runs/run'
import { estimateWork } from '#core/performance/model/throughput'
import { powerSheet } from '#core/machine/power/powerSheet'
import { efficiencyAt } from '#core/machine/power/wallDraw'
import type { BenchTarget, BenchView, RunView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import type { StepsView } from '#shared/machine/views'
import type { Queryable } from '#server/db/client'
import { reading } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'
import type { World } from '#server/readings/world'
import { buildPage } from '../builds/buildView'
import { fitBriefOf, machineRules } from '#server/context/fitBrief'
import { frameValueOf } from './readFrameValue'
import { marketOf } from '#server/context/marketReadings'
import type { Market } from '#server/context/marketState'
import { performanceOf, performanceTables, type Performance } from '#server/context/performance'
import { stepsPage } from '../machine/readSteps'

/** Bench of a build: what its targets need, every run, forecasts, other work, frames for money, living with it. */
export async function benchView(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  today: string,
): Promise<BenchView> {
  return benchPage(await useWorld(db), buildId, today)
}

export const benchPage = reading('bench page', benchOf, { most: 200 })

function benchOf(world: World, buildId: string, today: string): BenchView {
  const view = buildPage(world, buildId, today)
  const performance = performanceOf(world.unless(performanceTables))
  const market = marketOf(world)
  const logs = world.rows.frameLogs.all()
  const frozen = world.rows.forecasts
    .where('buildId', buildId)
    .toSorted((a, b) => (a.madeOn !== b.madeOn ? (a.madeOn < b.madeOn ? -1 : 1) : a.id < b.id ? -1 : 1))
  const tasks = tasksOf(world)
  const { machine } = frameMachineOf(view.parts)
  const pair = machinePair(view.parts)
  const steps =
    view.targets.length === 0 || !machine ? null : stepsPage(world, buildId, today, 'graphics cpu')
  const library = new Map(market.library.map((part) => [part.id, part]))
  const runs = performance.runs.map((_, index) => runView(performance, index, library, pair, logs))
  const kept = frozen.map((row) => {
    const first = runs.find(
      (run) =>
        run.pair === `${row.cpuId} + ${row.graphicsId}` &&
        run.workloadId === row.workloadId &&
        run.settings.width === row.width &&
        run.settings.height === row.height &&
        run.settings.preset === row.preset &&
        run.excluded === null &&
        run.kind !== 'published',
    )
    const forecast = {
      id: row.id,
      workloadId: row.workloadId,
      averageFps: row.averageFps,
      range: { low: row.low, high: row.high },
    }
    return {
      ...forecast,
      workload: nameOf(performance, row.workloadId),
      settings: `${row.height}p ${row.preset}`,
      madeOn: row.madeOn,
      kept: first ? keepForecast(forecast, first.averageFps) : null,
    }
  })
  return {
    machine,
    pair,
    targets:
      machine && steps
        ? view.targets.map((target, index) =>
            benchTarget(target, index, view, machine, market.library, steps),
          )
        : [],
    runs: runs.reverse(),
    machines: machinesOf(runs),
    forecasts: kept,
    record: forecastRecord(kept.flatMap((each) => each.kept ?? [])).map((each) => ({
      ...each,
      workload: nameOf(performance, each.workloadId),
    })),
    tasks: taskViews(tasks, view, library),
    value: frameValueOf(world, view, today),
    living: livingOf(market, view, runs, pair, today),
  }
}

function nameOf({ workloads }: Performance, id: string): string {
  return workloads.find((each) => each.id === id)?.name ?? id
}

function benchTarget(
  target: BuildView['targets'][number],
  index: number,
  view: BuildView,
  machine: FrameMachine,
  library: readonly Part[],
  { roles }: StepsView,
): BenchTarget {
  const workload = view.workloads.find((each) => each.id === target.workloadId)!
  const need = videoMemoryNeed(workload, target)
  const up = (side: 'graphics' | 'cpu') => {
    const socket = view.parts.find((part) => part.role === 'motherboard')?.facts.socket
    const fitting =
      side === 'cpu' && socket !== undefined
        ? library.filter((part) => part.facts.socket === socket)
        : library
    const part = nextUp(fitting, side, side === 'graphics' ? machine.graphicsIndex : machine.cpuIndex)
    return part && target.estimate
      ? { name: partLabel(part), gain: gainOf(part, target.estimate, workload, machine, need) }
      : null
  }
  const reaching =
    target.verdict === 'met'
      ? []
      : roles.flatMap(({ role, steps }) =>
          steps.flatMap((step) => {
            const after = step.targets[index]
            return after && after.after >= after.wanted
              ? [{ name: step.name, role, more: step.more, fps: after.after }]
              : []
          }),
        )
  return {
    id: target.id,
    graphicsNeeded: indexNeeded(workload, machine, target, target, 'graphics'),
    cpuNeeded: indexNeeded(workload, machine, target, target, 'cpu'),
    nextCard: up('graphics'),
    nextCpu: up('cpu'),
    change: reaching.sort((a, b) => a.more - b.more)[0] ?? null,
    measure: nextMeasurement(workload, machine, target),
  }
}

function runView(
  performance: Performance,
  index: number,
  library: ReadonlyMap<string, Part>,
  pair: string | null,
  logs: readonly { id: string; runId: string; name: string; frames: number }[],
): RunView {
  const run = performance.runs[index]!
  const row = performance.rows[index]!
  const workload = performance.workloads.find((each) => each.id === run.workloadId)
  const residual = workload?.fit?.residuals.find((each) => each.runId === run.id)
  const label = (id: string | null) =>
    id === null ? null : library.has(id) ? partLabel(library.get(id)!) : id
  return {
    id: run.id,
    workloadId: run.workloadId,
    workload: workload?.name ?? run.workloadId,
    pair: run.pair,
    machine:
      [label(row.cpuId), label(row.graphicsId)].filter((each) => each !== null).join(' + ') ||
      row.origin ||
      'a console',
    isThisMachine: run.pair === pair,
    kind: run.kind,
    settings: run.settings,
    scene: run.scene,
    averageFps: run.averageFps,
    lowFps: run.lowFps,
    minFps: row.minFps,
    maxFps: row.maxFps,
    repeats: run.repeats,
    spread: repeatSummary(run.repeats)?.spread ?? null,
    conditions: run.conditions,
    readings: run.readings,
    lowsCause: run.lowsCause,
    noise: row.noise,
    feeling: row.feeling,
    origin: row.origin,
    ranOn: row.ranOn,
    note: row.note,
    excluded: excludedBecause(run),
    overruled: run.overruled,
    residual: residual ? { fitted: residual.fitted, leftOut: residual.leftOut } : null,
    logs: logs.filter((log) => log.runId === run.id).map(({ id, name, frames }) => ({ id, name, frames })),
  }
}

function machinesOf(runs: readonly RunView[]): BenchView['machines'] {
  const counts = new Map<string, { pair: string; name: string; runs: number }>()
  for (const run of runs)
    counts.set(run.pair, { pair: run.pair, name: run.machine, runs: (counts.get(run.pair)?.runs ?? 0) + 1 })
  return [...counts.values()].sort((a, b) => b.runs - a.runs || (a.name < b.name ? -1 : 1))
}

function tasksOf({ rows }: World) {
  const by =
    <Row>(key: (row: Row) => string) =>
    (a: Row, b: Row) =>
      key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0
  return {
    tasks: rows.workTasks.all().toSorted(by(({ name }) => name)),
    results: rows.workResults.where('deletedAt', null).toSorted(by(({ ranOn }) => ranOn)),
  }
}

function taskViews(
  { tasks, results }: ReturnType<typeof tasksOf>,
  view: BuildView,
  library: ReadonlyMap<string, Part>,
): BenchView['tasks'] {
  const cpu = view.parts.find((part) => part.role === 'cpu')
  const machineFor = (part: Part | undefined) =>
    part?.facts.cpuIndex === undefined
      ? null
      : {
          cpuIndex: part.facts.cpuIndex,
          threads: part.facts.threads ?? part.facts.cores ?? 4,
          ...(part.facts.cores === undefined ? {} : { cores: part.facts.cores }),
        }
  const references = results.flatMap((row) => {
    const machine = machineFor(library.get(row.cpuId))
    return machine ? [{ taskId: row.taskId, machine, value: row.value }] : []
  })
  const own = machineFor(cpu)
  return tasks.map((task) => ({
    ...task,
    estimate: own ? estimateWork(task, own, references) : null,
    results: results
      .filter((row) => row.taskId === task.id)
      .map(({ id, cpuId, value, feeling, kind, ranOn, note }) => ({
        id,
        cpu: library.has(cpuId) ? partLabel(library.get(cpuId)!) : cpuId,
        value,
        feeling,
        kind,
        ranOn,
        note,
        isThisMachine: cpuId === cpu?.id,
      })),
  }))
}

function livingOf(
  market: Market,
  view: BuildView,
  runs: readonly RunView[],
  pair: string | null,
  today: string,
): BenchView['living'] {
  const rules = machineRules(market, view, today)
  const { year } = fitBriefOf(market, view, today)
  const power = powerSheet(view.parts, {
    power: market.assumptions.power,
    rule: rules.supplyRule,
    year,
    fullHours: rules.fullHours,
    idleHours: rules.idleHours,
    tariff: rules.tariff,
  })
  const supply = view.parts.find((part) => part.role === 'supply')
  return livingWithIt({
    runs: runs
      .filter((run) => run.pair === pair)
      .map((run) => ({
        readings: { ...noReadings, ...run.readings },
        conditions: { ...plainConditions, ...run.conditions },
        lowsCause: run.lowsCause,
        noise: run.noise,
      })),
    supply: power.supply
      ? {
          nowW: power.supply.nowW,
          efficiency: efficiencyAt(power.sustained / power.supply.ratedW, supply?.facts.efficiency),
        }
      : null,
    estimatedWallW: power.wall?.full ?? null,
    yearlyWords:
      power.yearly === null
        ? null
        : `${formatAmount(power.yearly, view.currency)} ${view.currency} per year at ` +
          `${rules.fullHours} h full load and ${rules.idleHours} h idle per day`,
    roomC: rules.roomC ?? market.assumptions.power.roomC,
    wantsQuiet: /\b(quiet|silent)\b/i.test(view.purpose),
  })
}
