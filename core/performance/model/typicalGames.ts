import type { Workload } from './workload'

/** A kind of game that a game of one's own starts from: its shape, not its speed, which one known rate fixes. */
export interface TypicalGame extends Omit<Workload, 'id' | 'name' | 'fit' | 'model'> {
  readonly saying: string
}

const presets = (high: number, low: number, gb: number): Workload['presets'] => ({
  low: { graphics: low, cpu: 0.85, videoMemoryGb: gb * 0.6 },
  medium: { graphics: (1 + low) / 2, cpu: 0.95, videoMemoryGb: gb * 0.8 },
  high: { graphics: 1, cpu: 1, videoMemoryGb: gb },
  highest: { graphics: high, cpu: 1.1, videoMemoryGb: gb * 1.3 },
})
const upscaling = { quality: 0.65, balanced: 0.55, performance: 0.47 }
const shared = { pixelExponent: 0.8, upscaling, frameGenerationFactor: 1.6, priorSpread: 0.2 }

/** Five kinds; their shapes are the builder's to change. */
export const typicalGames: readonly TypicalGame[] = [
  {
    ...shared,
    kind: 'competitive shooter',
    saying: 'light on the GPU, heavy on the CPU',
    graphicsMs: 3,
    cpuMs: 3.4,
    threadsWanted: 6,
    lowShare: { graphics: 0.72, cpu: 0.58 },
    presets: presets(1.3, 0.6, 3),
  },
  {
    ...shared,
    kind: 'open world',
    saying: 'heavy on both, needs video memory',
    graphicsMs: 8,
    cpuMs: 7,
    threadsWanted: 8,
    lowShare: { graphics: 0.75, cpu: 0.6 },
    presets: presets(1.45, 0.55, 6),
  },
  {
    ...shared,
    kind: 'strategy',
    saying: 'CPU limited late in a game',
    graphicsMs: 4,
    cpuMs: 9,
    threadsWanted: 8,
    lowShare: { graphics: 0.75, cpu: 0.55 },
    presets: presets(1.3, 0.6, 3),
  },
  {
    ...shared,
    kind: 'driving',
    saying: 'steady frame rate, more GPU than CPU',
    graphicsMs: 6,
    cpuMs: 5,
    threadsWanted: 6,
    lowShare: { graphics: 0.82, cpu: 0.7 },
    presets: presets(1.35, 0.6, 4),
  },
  {
    ...shared,
    kind: 'story',
    saying: 'GPU limited nearly always',
    graphicsMs: 10,
    cpuMs: 5.5,
    threadsWanted: 8,
    lowShare: { graphics: 0.78, cpu: 0.65 },
    presets: presets(1.5, 0.5, 6),
  },
]
