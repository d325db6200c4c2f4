import type { Workload } from '#core/performance/model/workload'
import { yearlyFaults } from '#core/comparison/adjustments/yearlyFaults'
import type { WeighedComponent, WeighedMachine, WeighingTerms } from '#core/comparison/weighedMachine'

/** Machines and terms of the weighing's tests, plain enough to calculate by hand. */
export const machine = (change: Partial<WeighedMachine> = {}): WeighedMachine => ({
  id: 'own',
  name: 'Own',
  kind: 'build',
  price: 60_000,
  taxPercent: 0,
  shipping: 0,
  brings: [],
  extras: [],
  rates: [],
  modes: [],
  components: [],
  notStated: [],
  warrantyMonths: 36,
  watts: null,
  heat: null,
  subscriptionPerYear: 0,
  gameSurcharge: 0,
  hours: 0,
  resaleToday: 0,
  arrivalFault: 0,
  arrivalShare: 0,
  targets: [],
  ...change,
})
export const terms = (change: Partial<WeighingTerms> = {}): WeighingTerms => ({
  years: 3,
  fullHours: 2,
  idleHours: 0,
  tariff: 20,
  perHour: 0,
  gamesPerYear: 4,
  usualShipping: 3500,
  needPrices: {},
  yearly: yearlyFaults(),
  year: 2026,
  keeps: { whole: 0.8 },
  // a range of nothing: what turns within one has tests of its own
  keepsRange: { low: change.keeps ?? { whole: 0.8 }, high: change.keeps ?? { whole: 0.8 } },
  assumedWorth: null,
  worthUnknown: [],
  wholeFactor: 0.9,
  off: [],
  edits: {},
  ...change,
})
export const component = (change: Partial<WeighedComponent> = {}): WeighedComponent => ({
  role: 'graphics',
  label: 'card',
  partId: 'card',
  state: 'stated',
  facts: {},
  condition: 'used',
  street: 10_000,
  worthToday: change.street ?? 10_000,
  counted: true,
  warrantyMonths: 0,
  ...change,
})
export const rate = (
  workloadId: string,
  averageFps: number,
  settings: string | null = '1920x1080 high',
  lowFps: number | null = null,
) => ({ workloadId, settings, averageFps, lowFps, kind: 'stated' as const })
export const workload: Workload = {
  id: 'a',
  name: 'Harbour Run',
  kind: 'racing',
  graphicsMs: 5,
  cpuMs: 5,
  pixelExponent: 1,
  threadsWanted: 6,
  lowShare: { graphics: 0.8, cpu: 0.7 },
  presets: {
    low: { graphics: 0.5, cpu: 1, videoMemoryGb: 2 },
    medium: { graphics: 0.7, cpu: 1, videoMemoryGb: 3 },
    high: { graphics: 1, cpu: 1, videoMemoryGb: 4 },
    ultra: { graphics: 1.4, cpu: 1, videoMemoryGb: 6 },
  },
  upscaling: {},
  frameGenerationFactor: 1.6,
  priorSpread: 0.1,
}
