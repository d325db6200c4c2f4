import { defaultsOf, factor, plain, share, type ValuesOf } from '../assumption'

/** The frame model where no run has moved it. */
export const performanceGroup = {
  sharpness: plain(
    'how sharply the slower side alone decides',
    5,
    [1, 20],
    'higher: the faster side matters less',
  ),
  threadsExponent: plain('thread scaling exponent', 0.6, [0, 1], 'higher: few threads cost more frames'),
  singleChannelFactor: factor(
    'CPU time with one memory channel',
    1.12,
    'higher: one stick costs more frames',
  ),
  slowMemoryFactor: factor('CPU time with slow memory', 1.04, 'higher: slow memory costs more frames'),
  shortageFactor: factor(
    'graphics time per share of missing video memory',
    0.8,
    'higher: small cards lose more',
  ),
  shortageLows: factor(
    'lows per share of missing memory',
    1.5,
    'higher: lows suffer more from little memory',
  ),
  memoryGrowth: plain(
    'video memory grows with pixels to the power of',
    0.2,
    [0, 1],
    'higher: high resolutions want more video memory',
  ),
  secondThread: share('worth of a core’s second thread', 0.35, 'higher: doubled threads count for more'),
  graphicsLimitedFrom: share(
    'graphics-limited above this share',
    0.65,
    'higher: fewer targets called graphics-limited',
  ),
  cpuLimitedUpTo: share('CPU-limited below this share', 0.35, 'higher: more targets called CPU-limited'),
  residualSpread: share('spread of one result about the model', 0.05, 'higher: wider ranges'),
} as const

export type PerformanceAssumptions = ValuesOf<typeof performanceGroup>
export const performanceDefaults = defaultsOf(performanceGroup)
