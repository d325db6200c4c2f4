/** The made-up sources, workloads and rates of the demo scenario, as a library file states them. */

export const demoToday = '2026-10-31'

const shop = (id: string, name: string, shipping: string, freeFrom: string, note: string) => ({
  id, name, kind: 'shop', currency: 'CAD', taxPercent: 13, taxOnShipping: true, shipping: { kind: 'per-order', amount: shipping, freeFrom }, paymentFeePercent: 0, sellerFeePercent: 0, protection: 'warranty', note,
})

export const demoSources = [
  { id: 'barnstall', name: 'Barnstall', kind: 'classifieds', currency: 'CAD', taxPercent: 0, taxOnShipping: false, shipping: { kind: 'none', amount: '0', freeFrom: null }, paymentFeePercent: 0, sellerFeePercent: 0, protection: 'none', note: 'local classifieds, hand-over in person' },
  { id: 'gavelry', name: 'Gavelry', kind: 'auction', currency: 'CAD', taxPercent: 0, taxOnShipping: false, shipping: { kind: 'per-order', amount: '9.50', freeFrom: null }, paymentFeePercent: 0, sellerFeePercent: 13, protection: 'market', note: 'online auctions, buyer protection' },
  { id: 'second-socket', name: 'Second Socket', kind: 'refurbisher', currency: 'CAD', taxPercent: 13, taxOnShipping: true, shipping: { kind: 'per-order', amount: '7.90', freeFrom: '120.00' }, paymentFeePercent: 0, sellerFeePercent: 0, protection: 'returns', note: 'tested, 90 days' },
  shop('circuit-pantry', 'Circuit Pantry', '8.90', '99.00', 'web shop: codes and mail-in rebates'),
  shop('tin-lantern-parts', 'Tin Lantern Parts', '11.90', '149.00', 'web shop: bundles'),
  { id: 'trestle-row', name: 'Trestle Row', kind: 'counter', currency: 'CAD', taxPercent: 13, taxOnShipping: false, shipping: { kind: 'none', amount: '0', freeFrom: null }, paymentFeePercent: 0, sellerFeePercent: 0, protection: 'warranty', note: 'bundles over the counter only' },
  { id: 'nordbod', name: 'Nordbod', kind: 'shop', currency: 'SEK', taxPercent: 0, taxOnShipping: false, shipping: { kind: 'per-order', amount: '79.00', freeFrom: '900.00' }, paymentFeePercent: 0, sellerFeePercent: 0, protection: 'warranty', note: 'second region; 25 % tax is inside its prices' },
] as const

const presets = (low: number, medium: number, ultra: number, memory: readonly [number, number, number, number]) => ({
  low: { graphics: low, cpu: 0.88, videoMemoryGb: memory[0] },
  medium: { graphics: medium, cpu: 0.95, videoMemoryGb: memory[1] },
  high: { graphics: 1, cpu: 1, videoMemoryGb: memory[2] },
  ultra: { graphics: ultra, cpu: 1.08, videoMemoryGb: memory[3] },
})
const upscaling = { quality: 0.68, balanced: 0.58, performance: 0.48 }

export const demoWorkloads = [
  { id: 'lantern-drift', name: 'Lantern Drift', kind: 'racing', graphicsMs: 4.6, cpuMs: 7.6, pixelExponent: 0.85, threadsWanted: 8, lowShare: { graphics: 0.79, cpu: 0.68 }, presets: presets(0.45, 0.66, 1.38, [3, 4, 6, 8]) },
  { id: 'copper-parish', name: 'Copper Parish', kind: 'shooter', graphicsMs: 5.9, cpuMs: 8.4, pixelExponent: 0.84, threadsWanted: 8, lowShare: { graphics: 0.75, cpu: 0.62 }, presets: presets(0.46, 0.68, 1.32, [3, 4, 6, 8]) },
  { id: 'moor-and-mire', name: 'Moor & Mire', kind: 'open world', graphicsMs: 12.2, cpuMs: 10.4, pixelExponent: 0.88, threadsWanted: 12, lowShare: { graphics: 0.72, cpu: 0.58 }, presets: presets(0.44, 0.62, 1.42, [4, 5, 7, 10]) },
  { id: 'kite-arena', name: 'Kite Arena', kind: 'competitive', graphicsMs: 5.4, cpuMs: 7.1, pixelExponent: 0.78, threadsWanted: 6, lowShare: { graphics: 0.74, cpu: 0.66 }, presets: presets(0.4, 0.6, 1.3, [2, 3, 4, 5]) },
  { id: 'pixel-orchard', name: 'Pixel Orchard', kind: 'light', graphicsMs: 1.7, cpuMs: 3.1, pixelExponent: 0.7, threadsWanted: 4, lowShare: { graphics: 0.82, cpu: 0.74 }, presets: presets(0.6, 0.78, 1.2, [1, 1, 2, 2]) },
  { id: 'gullmarsh', name: 'Gullmarsh', kind: 'strategy', graphicsMs: 3.8, cpuMs: 14.6, pixelExponent: 0.74, threadsWanted: 8, lowShare: { graphics: 0.7, cpu: 0.55 }, presets: presets(0.5, 0.7, 1.25, [2, 3, 4, 6]) },
].map((workload) => ({ ...workload, upscaling, frameGenerationFactor: 1.6, priorSpread: 0.1 }))

/** One rate a month into the builder's currency. */
export const demoRates = [
  ['2026-06-01', '0.1312', '1.3712', '1.5380'], ['2026-07-01', '0.1305', '1.3688', '1.5412'], ['2026-08-01', '0.1318', '1.3731', '1.5398'], ['2026-09-01', '0.1324', '1.3755', '1.5441'], ['2026-10-01', '0.1321', '1.3719', '1.5425'],
].flatMap(([date, sek, usd, eur]) => [
  { date: date!, from: 'SEK', to: 'CAD', rate: sek! }, { date: date!, from: 'USD', to: 'CAD', rate: usd! }, { date: date!, from: 'EUR', to: 'CAD', rate: eur! },
])

const equivalents = (list: readonly (readonly [by: string, saidOn: string, cpuIndex: number, graphicsIndex: number])[]) => list.map(([by, saidOn, cpuIndex, graphicsIndex]) => ({ by, saidOn, cpuIndex, threads: 16, graphicsIndex, videoMemoryGb: 10 }))

/** Rivals of the first build: a prebuilt, a configured machine, two consoles, last year's build. */
export const demoRivals = [
  {
    id: 'brindlewick-15', kind: 'prebuilt', name: 'Harbourline Brindlewick 15', price: '949.00', currency: 'CAD', taxPercent: 13, shipping: '35.00', brings: ['licence', 'wireless', 'screen-cable'], cpuId: 'ostrane-threddle-33', graphicsId: 'murrowdun-tarn-620-8-gb',
    notStated: [], url: '', note: 'two years of warranty', rates: [], warrantyMonths: 24,
    parts: { memoryGb: 16, memoryModules: 2, memoryMts: null, storageGb: 480, storageKind: 'nvme', supplyW: 450, supplyMake: null },
  },
  {
    id: 'trestle-configured', kind: 'configured', name: 'Trestle Row, made to the list', price: '812.00', currency: 'CAD', taxPercent: 13, shipping: '0', brings: ['screen-cable'], cpuId: 'kaldric-sallowfen-5400', graphicsId: 'murrowdun-tarn-640-8-gb', notStated: [], url: '', note: 'all new, put together at the shop', rates: [], warrantyMonths: 24,
    parts: { memoryGb: 16, memoryModules: 2, memoryMts: 3200, storageGb: 960, storageKind: 'nvme', supplyW: 550, supplyMake: 'Steadwell' },
  },
  {
    id: 'ovalis-one', kind: 'console', name: 'Ovalis One', price: '599.00', currency: 'CAD', taxPercent: 13, shipping: '0', brings: ['licence', 'keyboard-mouse', 'controller', 'wireless', 'screen-cable'], cpuId: null, graphicsId: null, notStated: ['settings of its modes'], url: '', note: '', warrantyMonths: 12, fullW: 165, idleW: 12, subscriptionPerYear: '79.00', gameSurcharge: '14.00', resaleToday: '420.00',
    equivalents: equivalents([['Bench & Bellows', '2026-06-02', 94, 96], ['The Quay Gazette', '2026-07-19', 92, 104], ['a thread at Barnstall', '2026-09-30', 100, 90]]),
    rates: [
      { workloadId: 'lantern-drift', width: 2560, height: 1440, preset: null, averageFps: 60, lowFps: 54, note: 'its own mode' }, { workloadId: 'moor-and-mire', width: 1920, height: 1080, preset: null, averageFps: 30, lowFps: 28, note: 'its own mode' },
      { workloadId: 'copper-parish', width: 1920, height: 1080, preset: null, averageFps: 60, lowFps: 51, note: 'its own mode' },
    ],
  },
  {
    id: 'ovalis-mini', kind: 'console', name: 'Ovalis Mini', price: '389.00', currency: 'CAD', taxPercent: 13, shipping: '0', brings: ['licence', 'keyboard-mouse', 'controller', 'wireless', 'screen-cable'], cpuId: null, graphicsId: null, notStated: ['settings of its modes'], url: '', note: '', warrantyMonths: 12, fullW: 85, idleW: 8, subscriptionPerYear: '79.00', gameSurcharge: '14.00', resaleToday: '250.00',
    equivalents: equivalents([['Bench & Bellows', '2026-06-02', 88, 48]]),
    rates: [{ workloadId: 'lantern-drift', width: 1920, height: 1080, preset: null, averageFps: 60, lowFps: 50, note: 'its own mode' }, { workloadId: 'moor-and-mire', width: 1280, height: 720, preset: null, averageFps: 30, lowFps: 26, note: 'its own mode' }],
  },
  {
    id: 'last-winter', kind: 'own', name: 'Last winter’s machine', price: '410.00', currency: 'CAD', taxPercent: 0, shipping: '0', brings: ['licence', 'wireless'], cpuId: 'kaldric-sallowfen-4360', graphicsId: 'murrowdun-tarn-560-8-gb', notStated: [], url: '', note: 'what it would fetch today', warrantyMonths: 0,
    parts: { memoryGb: 16, memoryModules: 2, memoryMts: 2666, storageGb: 480, storageKind: 'sata', supplyW: 500, supplyMake: 'Steadwell' },
    rates: [{ workloadId: 'lantern-drift', width: 2560, height: 1440, preset: 'high', averageFps: 52, lowFps: 39, note: 'own log' }, { workloadId: 'kite-arena', width: 1920, height: 1080, preset: 'medium', averageFps: 96, lowFps: 61, note: 'own log' }],
  },
]
