import { defaultsOf, factor, plain, share, type ValuesOf } from '../assumption'

/** The frame model where no run has moved it. */
export const performanceGroup = {
  sharpness: plain('sharpness of the bottleneck', 5, [1, 20], 'higher: the faster part matters less'),
  threadsExponent: plain('thread scaling exponent', 0.6, [0, 1], 'higher: few threads cost more fps'),
  singleChannelFactor: factor(
    'CPU time with one memory channel',
    1.12,
    'higher: a single module costs more fps',
  ),
  slowMemoryFactor: factor('CPU time with slow memory', 1.04, 'higher: slow memory costs more fps'),
  shortageFactor: factor(
    'GPU time per share of missing video memory',
    0.8,
    'higher: cards with little video memory lose more',
  ),
  shortageLows: factor(
    '1 % low loss per share of missing memory',
    1.5,
    'higher: 1 % lows suffer more from too little memory',
  ),
  memoryGrowth: plain(
    'exponent of video memory by pixel count',
    0.2,
    [0, 1],
    'higher: high resolutions need more video memory',
  ),
  secondThread: share('value of a core’s second thread', 0.35, 'higher: SMT/hyper-threads count for more'),
  graphicsLimitedFrom: share(
    'GPU limited above this share',
    0.65,
    'higher: fewer targets called GPU limited',
  ),
  cpuLimitedUpTo: share('CPU limited below this share', 0.35, 'higher: more targets called CPU limited'),
  residualSpread: share('spread of one result around the model', 0.05, 'higher: wider ranges'),
} as const

export type PerformanceAssumptions = ValuesOf<typeof performanceGroup>
export const performanceDefaults = defaultsOf(performanceGroup)
