import { groupBy } from '../../collections/groupBy'
import type { PerformanceAssumptions } from '../../assumptions/groups/performance'
import { megapixels, type FrameTime } from '../model/frameTime'
import { repeatSummary } from '../runs/repeats'
import { excludedBecause, type FrameRun } from '../runs/run'
import type { Workload } from '../model/workload'

/** A sign, from runs of one pair of parts in one workload, of which side limits. */
export interface LimitEvidence {
  readonly pair: string
  readonly workloadId: string
  readonly side: 'cpu' | 'graphics'
  /** How much it moves the log-odds of the graphics side. */
  readonly shift: number
  /** It holds up to this load of the card (a CPU sign) or from it on (a graphics sign): megapixels × preset × upscaling. */
  readonly load: number
  readonly words: string
  readonly runIds: readonly string[]
}

/** What evidence did to the share of the limit on the graphics side. */
export interface LimitShift {
  readonly before: number
  readonly after: number
  readonly because: readonly string[]
}

/** How strongly signs move the limit; documented defaults, in log-odds. 1.5 takes a balanced share of 0.50 to 0.18. */
export const evidenceWeights = { pair: 1.5, use: 0.75, most: 3 } as const

/** A card this little in use waits for something; one this much does not. Percent. */
const cardWaitsBelow = 85
const cardBusyFrom = 97
/** A setting counts as lighter for the card from this much less load on. */
const lighterBy = 0.8

/**
 * Signs of what limits. *Pairs*: same machine and scene, one setting changed (lower resolution or upscaling on), and the
 * average rose by less than the spread of the repeats: the CPU side limits at the heavier setting and below it.
 * *Use*: a card stated below 85 % in use waits for the CPU side; from 97 % on it limits itself.
 * Runs that are excluded from a fit are no evidence either. O(n²) within one pair of parts.
 */
export function limitEvidence(workload: Workload, runs: readonly FrameRun[]): LimitEvidence[] {
  const counted = runs.filter((run) => run.workloadId === workload.id && excludedBecause(run) === null)
  const evidence: LimitEvidence[] = []
  for (const group of groupBy(counted, (run) => `${run.pair} ${run.scene}`).values()) {
    for (const heavy of group) for (const light of group) evidence.push(...pairSign(workload, heavy, light))
    for (const run of group) evidence.push(...useSign(workload, run))
  }
  return evidence
}

/** Load of the card at a run's settings, in megapixels times factors. */
export function cardLoad(workload: Workload, settings: FrameRun['settings']): number {
  const upscaling = settings.upscaling ? (workload.upscaling[settings.upscaling] ?? 1) : 1
  return (
    megapixels(settings) ** workload.pixelExponent *
    (workload.presets[settings.preset]?.graphics ?? 1) *
    upscaling
  )
}

function pairSign(workload: Workload, heavy: FrameRun, light: FrameRun): LimitEvidence[] {
  const [a, b] = [heavy.settings, light.settings]
  if (a.preset !== b.preset || Boolean(a.frameGeneration) !== Boolean(b.frameGeneration)) return []
  const sameSize = a.width === b.width && a.height === b.height
  const sameUpscaling = (a.upscaling ?? '') === (b.upscaling ?? '')
  if (sameSize === sameUpscaling) return []
  const load = cardLoad(workload, a)
  if (cardLoad(workload, b) > lighterBy * load) return []
  const spreads = [heavy, light].flatMap((run) => repeatSummary(run.repeats)?.spread ?? [])
  if (spreads.length === 0) return []
  const spread = Math.max(...spreads)
  const change = light.averageFps / heavy.averageFps - 1
  if (Math.abs(change) >= spread) return []
  const what = sameSize
    ? `upscaling “${b.upscaling}” turned on`
    : `resolution lowered from ${a.width}×${a.height} to ${b.width}×${b.height}`
  return [
    {
      pair: heavy.pair,
      workloadId: workload.id,
      side: 'cpu',
      shift: -evidenceWeights.pair,
      load,
      runIds: [heavy.id, light.id],
      words: `${what}: the average changed by ${percent(change)}, less than the ${percent(spread)} between repeats`,
    },
  ]
}

function useSign(workload: Workload, run: FrameRun): LimitEvidence[] {
  const { cardUse } = run.readings
  if (cardUse === null || (cardUse >= cardWaitsBelow && cardUse < cardBusyFrom)) return []
  const side = cardUse < cardWaitsBelow ? 'cpu' : 'graphics'
  return [
    {
      pair: run.pair,
      workloadId: workload.id,
      side,
      shift: side === 'cpu' ? -evidenceWeights.use : evidenceWeights.use,
      load: cardLoad(workload, run.settings),
      runIds: [run.id],
      words: `GPU usage was ${Math.round(cardUse)} % at ${run.settings.width}×${run.settings.height} ${run.settings.preset}`,
    },
  ]
}

function percent(share: number): string {
  return `${(100 * share).toFixed(1)} %`
}

/** The evidence that bears on a pair of parts at some settings. */
export function evidenceAt(
  evidence: readonly LimitEvidence[],
  workload: Workload,
  pair: string,
  settings: FrameRun['settings'],
): LimitEvidence[] {
  const load = cardLoad(workload, settings)
  const slack = 1.02
  return evidence.filter(
    (each) =>
      each.pair === pair &&
      each.workloadId === workload.id &&
      (each.side === 'cpu' ? load <= each.load * slack : load * slack >= each.load),
  )
}

/**
 * Moves the share of the limit by the sum of the shifts in log-odds, at most 3, and splits the same frame time again:
 * the average stays, what would raise it changes.
 */
export function applyEvidence(
  time: Pick<FrameTime, 'frameMs' | 'graphicsShare' | 'graphicsMs' | 'cpuMs'>,
  evidence: readonly LimitEvidence[],
  { sharpness }: Pick<PerformanceAssumptions, 'sharpness'>,
): { graphicsMs: number; cpuMs: number; graphicsShare: number; limitShift: LimitShift | null } {
  const { graphicsMs, cpuMs, graphicsShare: before, frameMs } = time
  if (evidence.length === 0) return { graphicsMs, cpuMs, graphicsShare: before, limitShift: null }
  const sum = evidence.reduce((total, each) => total + each.shift, 0)
  const shift = Math.max(-evidenceWeights.most, Math.min(evidenceWeights.most, sum))
  const odds = Math.min(1e9, Math.max(1e-9, before / (1 - before))) * Math.exp(shift)
  const after = odds / (1 + odds)
  return {
    graphicsMs: frameMs * after ** (1 / sharpness),
    cpuMs: frameMs * (1 - after) ** (1 / sharpness),
    graphicsShare: after,
    limitShift: { before, after, because: evidence.map((each) => each.words) },
  }
}
