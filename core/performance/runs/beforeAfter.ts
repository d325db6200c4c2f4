import type { FrameRun } from './run'

/** Two machines at the same settings. */
export interface BeforeAfterPair {
  readonly workloadId: string
  readonly settings: FrameRun['settings']
  readonly scene: string
  readonly before: number
  readonly after: number
  readonly ratio: number
  readonly lowRatio: number | null
  /** Conditions that are not alike, in words; a pair with any is shown and does not count. */
  readonly differs: readonly string[]
}

export interface BeforeAfter {
  readonly pairs: readonly BeforeAfterPair[]
  /** Geometric mean of the ratios under like conditions; null without one. */
  readonly meanRatio: number | null
  readonly meanLowRatio: number | null
  readonly counted: number
  /** Runs of either machine that the other has nothing to hold against. */
  readonly alone: number
}

const ambientApart = 5

/**
 * Runs of one machine against runs of another: same workload, scene, resolution, preset, upscaling and frame generation
 * only. Of several runs of a machine at the same settings the last counts. Pairs under unlike conditions (versions,
 * background, side panel, room apart by 5 °C) are flagged and stay out of the means.
 */
export function beforeAfter(before: readonly FrameRun[], after: readonly FrameRun[]): BeforeAfter {
  const [first, second] = [lastByKey(before), lastByKey(after)]
  const pairs = [...first].flatMap(([key, a]): BeforeAfterPair[] => {
    const b = second.get(key)
    if (!b) return []
    return [
      {
        workloadId: a.workloadId,
        settings: a.settings,
        scene: a.scene,
        before: a.averageFps,
        after: b.averageFps,
        ratio: b.averageFps / a.averageFps,
        lowRatio: a.lowFps !== null && b.lowFps !== null ? b.lowFps / a.lowFps : null,
        differs: unlike(a, b),
      },
    ]
  })
  const like = pairs.filter((pair) => pair.differs.length === 0)
  return {
    pairs,
    counted: like.length,
    meanRatio: geometricMean(like.map((pair) => pair.ratio)),
    meanLowRatio: geometricMean(like.flatMap((pair) => pair.lowRatio ?? [])),
    alone: first.size + second.size - 2 * pairs.length,
  }
}

/** Geometric mean of ratios; null of none. */
export function geometricMean(ratios: readonly number[]): number | null {
  return ratios.length === 0
    ? null
    : Math.exp(ratios.reduce((sum, ratio) => sum + Math.log(ratio), 0) / ratios.length)
}

function lastByKey(runs: readonly FrameRun[]): Map<string, FrameRun> {
  return new Map(runs.map((run) => [keyOf(run), run]))
}

function keyOf({ workloadId, scene, settings }: FrameRun): string {
  return [
    workloadId,
    scene,
    settings.width,
    settings.height,
    settings.preset,
    settings.upscaling ?? '',
    settings.frameGeneration ? 'generated' : '',
  ].join('|')
}

function unlike(a: FrameRun, b: FrameRun): string[] {
  const [x, y] = [a.conditions, b.conditions]
  const differs = (label: string, one: string, other: string) =>
    one !== other && one !== '' && other !== '' ? [`${label}: ${one} and ${other}`] : []
  return [
    ...(x.background !== y.background
      ? [`background: ${x.background || 'none'} and ${y.background || 'none'}`]
      : []),
    ...differs('game version', x.gameVersion, y.gameVersion),
    ...differs('driver', x.driverVersion, y.driverVersion),
    ...differs('memory speed', mtsText(x.memoryMts), mtsText(y.memoryMts)),
    ...differs('drive', x.drive ?? '', y.drive ?? ''),
    ...differs('side panel', x.sidePanel ?? '', y.sidePanel ?? ''),
    ...(x.ambientC !== null && y.ambientC !== null && Math.abs(x.ambientC - y.ambientC) >= ambientApart
      ? [`room: ${x.ambientC} °C and ${y.ambientC} °C`]
      : []),
  ]
}

const mtsText = (mts: number | null | undefined) => (mts ? `${mts} MT/s` : '')
