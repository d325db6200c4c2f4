import { performanceDefaults } from '../core/assumptions/groups/performance'
import { estimateFrameRate } from '../core/performance/model/estimateFrameRate'
import { fitWorkload } from '../core/performance/fitting/fitWorkload'
import type { FrameMachine } from '../core/performance/model/frameTime'
import {
  noReadings,
  plainConditions,
  runKinds,
  type FrameRun,
  type RunKind,
} from '../core/performance/runs/run'
import type { FrameSettings, Workload } from '../core/performance/model/workload'
import { medianSorted } from '../core/statistics/medianSorted'
import { catalogue } from './catalogue'
import { chance as makeChance, type Chance } from './random'
import { demoWorkloads } from './trade'

/** How well the fit finds what made its runs. */
export interface FitMeasure {
  /** Median of |estimate / truth − 1| on pairs of parts that no run was on. */
  readonly medianError: number
  /** Share of new noisy runs inside the stated 90 % ranges. */
  readonly coverage: number
  readonly workloads: number
  readonly checks: number
}

const noise = 0.04
/** Frames a second that the other form holds. */
const limiter = 144
const sizes = [
  [1920, 1080],
  [2560, 1440],
  [3840, 2160],
  [1280, 720],
] as const
const unseenPairs = 6

/**
 * Makes workloads with known parameters, runs with 4 % noise on 8 to 40 of them each, fits, and asks for pairs of parts
 * that were not measured.
 *
 * @param indexSpread how far the stated indexes of the parts are off, as a standard deviation of their ln
 * @param isOfOtherForm whether frames come from another form than the model's: a softer join of the sides, a CPU cost
 *   that rises with the pixels, and a limiter at 144 frames
 */
export function measureFit(
  seed: number,
  workloads: number,
  indexSpread: number,
  isOfOtherForm = false,
): FitMeasure {
  const chance = makeChance(seed)
  const errors: number[] = []
  let inside = 0
  for (let index = 0; index < workloads; index += 1) {
    const prior = demoWorkloads[index % demoWorkloads.length]! as Workload
    const truth: Workload = {
      ...prior,
      graphicsMs: prior.graphicsMs * Math.exp(prior.priorSpread * chance.normal()),
      cpuMs: prior.cpuMs * Math.exp(prior.priorSpread * chance.normal()),
      pixelExponent: prior.pixelExponent + 0.05 * chance.normal(),
      ...(isOfOtherForm ? { model: { ...performanceDefaults, sharpness: 3 } } : {}),
    }
    const parts = trueParts(chance, indexSpread)
    const runs = Array.from({ length: chance.whole(8, 40) }, (_, run) =>
      makeRun(`r${run}`, truth, parts, chance, isOfOtherForm),
    )
    const fitted = fitWorkload(prior, runs)
    const seen = new Set(runs.map((run) => run.pair))
    for (let check = 0; check < unseenPairs;) {
      const fresh = makeRun('new', truth, parts, chance, isOfOtherForm)
      if (seen.has(fresh.pair)) continue
      check += 1
      // what a run is capped at is known of it
      const estimate = estimateFrameRate(
        isOfOtherForm ? { ...fitted, frameCap: limiter } : fitted,
        fresh.machine!,
        fresh.settings,
      )
      errors.push(Math.abs(estimate.averageFps / fresh.truthFps - 1))
      if (fresh.averageFps >= estimate.range.low && fresh.averageFps <= estimate.range.high) inside += 1
    }
  }
  return {
    medianError: medianSorted(errors.sort((a, b) => a - b)),
    coverage: inside / errors.length,
    workloads,
    checks: errors.length,
  }
}

/** Parts with what they state, and what they really are. */
function trueParts(chance: Chance, indexSpread: number) {
  const off = () => Math.exp(indexSpread * chance.normal())
  return {
    cpus: catalogue.filter((part) => part.role === 'cpu').map((part) => ({ part, off: off() })),
    cards: catalogue.filter((part) => part.role === 'graphics').map((part) => ({ part, off: off() })),
  }
}

function makeRun(
  id: string,
  truth: Workload,
  { cpus, cards }: ReturnType<typeof trueParts>,
  chance: Chance,
  isOfOtherForm: boolean,
): FrameRun & { readonly truthFps: number } {
  const [cpu, card, [width, height]] = [chance.pick(cpus), chance.pick(cards), chance.pick(sizes)]
  const settings: FrameSettings = { width, height, preset: chance.pick(Object.keys(truth.presets)) }
  const stated: FrameMachine = {
    cpuIndex: cpu.part.facts.cpuIndex!,
    threads: cpu.part.facts.threads!,
    graphicsIndex: card.part.facts.graphicsIndex!,
    videoMemoryGb: card.part.facts.vramGb!,
    memoryChannels: 2,
  }
  // a CPU that prepares more for more pixels
  const risen = isOfOtherForm ? ((width * height) / (1920 * 1080)) ** 0.1 : 1
  const free = estimateFrameRate(
    { ...truth, cpuMs: truth.cpuMs * risen },
    { ...stated, cpuIndex: stated.cpuIndex * cpu.off, graphicsIndex: stated.graphicsIndex * card.off },
    settings,
  )
  const cap = isOfOtherForm ? limiter : Infinity
  const truthFps = Math.min(cap, free.averageFps)
  const lowFps = Math.min(cap, free.lowFps)
  const draw = truthFps === cap ? 1 : Math.exp(noise * chance.normal())
  return {
    id,
    workloadId: truth.id,
    kind: chance.pick(Object.keys(runKinds).filter((kind) => kind !== 'console-mode') as RunKind[]),
    pair: `${cpu.part.id} + ${card.part.id}`,
    machine: stated,
    settings,
    scene: '',
    averageFps: truthFps * draw,
    lowFps: lowFps * draw,
    repeats: [],
    conditions: isOfOtherForm ? { ...plainConditions, capFps: limiter } : plainConditions,
    readings: noReadings,
    lowsCause: null,
    overruled: false,
    truthFps,
  }
}
