import { estimateFrameRate } from '../core/performance/model/estimateFrameRate'
import { csvTable } from '../core/files/export/csvCell'
import { addDays } from '../core/time/calendarDate'
import type { FrameSettings, Workload } from '../core/performance/model/workload'
import { catalogue, type CataloguePart } from './catalogue'
import { chance as makeChance, type Chance } from './random'
import { demoToday, demoWorkloads } from './trade'

const sizes = [
  [1920, 1080],
  [2560, 1440],
  [3840, 2160],
] as const

type Row = Record<string, unknown>

/** 120 measured runs: the true machine is a little off the library's defaults, and each reading off by chance. */
export function demoRuns(seed: number): Row[] {
  const chance = makeChance(seed)
  const truth = demoWorkloads.map((workload) => ({
    ...workload,
    graphicsMs: workload.graphicsMs * Math.exp(chance.normal() * 0.06),
    cpuMs: workload.cpuMs * Math.exp(chance.normal() * 0.06),
  }))
  const own = ownRuns(truth, chance)
  const cpus = catalogue.filter((part) => part.role === 'cpu' && part.facts.cpuIndex! > 60)
  const cards = catalogue.filter((part) => part.role === 'graphics' && part.facts.graphicsIndex! > 40)
  const found = Array.from({ length: 120 - own.length }, (_, index): Row => {
    const workload = truth[index % truth.length]!
    const [cpu, card, [width, height]] = [chance.pick(cpus), chance.pick(cards), chance.pick(sizes)]
    const preset = chance.pick(Object.keys(workload.presets))
    const scene = chance.happens(0.12) ? 'rain' : ''
    const rates = measure(workload, cpu, card, { width, height, preset }, chance, scene === '' ? 1 : 1.12)
    const kind = chance.weighted([
      ['own-log', 2],
      ['own-reading', 3],
      ['published', 5],
    ] as const)
    return {
      id: `run-${index + 1}`,
      workloadId: workload.id,
      cpuId: cpu.id,
      graphicsId: card.id,
      memoryChannels: 2,
      width,
      height,
      preset,
      scene,
      ...rates,
      kind,
      origin:
        kind === 'published'
          ? chance.pick(['The Quay Gazette', 'Bench & Bellows', 'a thread at Barnstall'])
          : '',
      ranOn: addDays(demoToday, -chance.whole(3, 300)),
      note: '',
    }
  })
  return [...own, ...found]
}

/** The bench's own evenings: last winter's machine, and the same with a lent card that its CPU starves. */
function ownRuns(truth: readonly Workload[], chance: Chance): Row[] {
  const cpu = catalogue.find((part) => part.id === 'kaldric-sallowfen-4360')!
  const cards = ['murrowdun-tarn-560-8-gb', 'murrowdun-tarn-640-8-gb'].map((id) =>
    catalogue.find((part) => part.id === id)!,
  )
  const plan = [
    ['lantern-drift', 2560, 1440, 'high', ''],
    ['lantern-drift', 1920, 1080, 'high', ''],
    ['kite-arena', 1920, 1080, 'medium', ''],
    ['kite-arena', 1280, 720, 'medium', ''],
    ['kite-arena', 1920, 1080, 'medium', 'quality'],
    ['moor-and-mire', 1920, 1080, 'medium', ''],
    ['gullmarsh', 1920, 1080, 'medium', ''],
  ] as const
  return cards
    .flatMap((card, machine) =>
      plan.map(([workloadId, width, height, preset, upscaling], index): Row => {
        const workload = truth.find((each) => each.id === workloadId)!
        const settings = { width, height, preset, ...(upscaling === '' ? {} : { upscaling }) }
        const repeats = Array.from({ length: 3 }, () => ({
          ...measure(workload, cpu, card, settings, chance, 1, 0.012),
          discarded: '',
        }))
        const isCpuBound = workloadId === 'kite-arena' || workloadId === 'gullmarsh'
        return {
          id: `own-${machine + 1}-${index + 1}`,
          workloadId,
          cpuId: cpu.id,
          graphicsId: card.id,
          memoryChannels: 2,
          width,
          height,
          preset,
          upscaling: upscaling === '' ? null : upscaling,
          averageFps: repeats[0]!.averageFps,
          lowFps: repeats[0]!.lowFps,
          repeats:
            index === 0
              ? [...repeats, { averageFps: 31, lowFps: 12, discarded: 'a message came in' }]
              : repeats,
          kind: index % 3 === 0 ? 'own-log' : 'own-reading',
          ranOn: machine === 0 ? '2026-02-14' : '2026-10-18',
          note: machine === 0 ? 'last winter’s machine' : 'the same with a lent card',
          conditions: {
            background: '',
            ambientC: machine === 0 ? 19 : 21,
            sidePanel: index === 5 && machine === 1 ? 'off' : 'on',
            gameVersion: '',
            driverVersion: machine === 0 ? '2026.1' : '2026.1',
          },
          readings: {
            cpuUse: isCpuBound ? 97 : 71,
            cardUse: machine === 1 && isCpuBound ? 62 + chance.whole(0, 6) : 98,
            videoMemoryGb: 4.8,
            cpuC: 68 + chance.whole(0, 6),
            cardC: 66 + chance.whole(0, 9),
            wallW: 205 + 20 * machine + chance.whole(0, 14),
          },
          noise: machine === 0 ? 'audible' : 'quiet',
          feeling: workloadId === 'gullmarsh' ? 'bearable' : 'fluent',
        }
      }),
    )
    .concat([
      spoilt(truth, cpu, cards[1]!, chance, 'own-background', { conditions: { background: 'a download' } }),
      spoilt(truth, cpu, cards[0]!, chance, 'own-heat', {
        lowsCause: 'heat',
        readings: { cardC: 91, cpuC: 74 },
      }),
    ])
}

function spoilt(
  truth: readonly Workload[],
  cpu: CataloguePart,
  card: CataloguePart,
  chance: Chance,
  id: string,
  what: Row,
): Row {
  const settings = { width: 1920, height: 1080, preset: 'medium' }
  return {
    id,
    workloadId: 'moor-and-mire',
    cpuId: cpu.id,
    graphicsId: card.id,
    memoryChannels: 2,
    ...settings,
    ...measure(
      truth.find((each) => each.id === 'moor-and-mire')!,
      cpu,
      card,
      settings,
      chance,
      1.2,
    ),
    kind: 'own-reading',
    ranOn: '2026-02-15',
    note: '',
    ...what,
  }
}

function measure(
  workload: Workload,
  cpu: CataloguePart,
  card: CataloguePart,
  settings: FrameSettings,
  chance: Chance,
  slower = 1,
  noise = 0.04,
) {
  const machine = {
    cpuIndex: cpu.facts.cpuIndex!,
    threads: cpu.facts.threads!,
    graphicsIndex: card.facts.graphicsIndex!,
    videoMemoryGb: card.facts.vramGb!,
    memoryChannels: 2,
  }
  const estimate = estimateFrameRate(workload, machine, settings)
  const factor = Math.exp(chance.normal() * noise) / slower
  return {
    averageFps: Math.round(estimate.averageFps * factor * 10) / 10,
    lowFps: Math.round(estimate.lowFps * factor * 10) / 10,
  }
}

/** Work that is no game, and what the bench and others took for it. */
export const demoTasks = [
  {
    id: 'cut-4k',
    name: 'Cutting a 4K clip',
    unit: 'min',
    lessIsBetter: true,
    threadsExponent: 0.75,
    mostThreads: 24,
  },
  {
    id: 'stream-and-play',
    name: 'Streaming while playing',
    unit: 'fps kept',
    lessIsBetter: false,
    threadsExponent: 0.5,
    mostThreads: 16,
  },
  {
    id: 'forty-tabs',
    name: 'Forty tabs and a spreadsheet',
    unit: 's',
    lessIsBetter: true,
    threadsExponent: 0.15,
    mostThreads: 8,
  },
  {
    id: 'start-up',
    name: 'Start-up to the desktop',
    unit: 's',
    lessIsBetter: true,
    threadsExponent: 0.1,
    mostThreads: 4,
  },
]

export const demoTaskResults = (
  [
    ['cut-4k', 'kaldric-sallowfen-4360', 21.4, 'poor'],
    ['cut-4k', 'kaldric-sallowfen-5400', 11.8, 'bearable'],
    ['cut-4k', 'ostrane-threddle-73', 6.3, 'fluent'],
    ['stream-and-play', 'kaldric-sallowfen-4360', 38, 'poor'],
    ['stream-and-play', 'ostrane-threddle-53', 71, 'fluent'],
    ['forty-tabs', 'kaldric-sallowfen-4360', 4.1, 'bearable'],
    ['forty-tabs', 'kaldric-sallowfen-5400', 2.9, 'fluent'],
    ['start-up', 'kaldric-sallowfen-4360', 19, 'fluent'],
  ] as const
).map(([taskId, cpuId, value, feeling], index) => ({
  id: `work-${index + 1}`,
  taskId,
  cpuId,
  value,
  feeling,
  kind: index % 3 === 1 ? 'published' : 'own-reading',
  ranOn: '2026-09-20',
  note: '',
}))

/** A frame-time log in ms: a steady pace, slow waves, now and then a stutter. */
export function frameLogCsv(seed: number, meanMs: number): string {
  const chance = makeChance(seed)
  const rows: string[][] = []
  let elapsed = 0
  for (let frame = 0; frame < 6000; frame += 1) {
    const wave = 1 + 0.12 * Math.sin(frame / 240)
    const time =
      meanMs * wave * Math.exp(chance.normal() * 0.06) * (chance.happens(0.0012) ? 4 + chance.share() * 3 : 1)
    elapsed += time
    rows.push([(elapsed / 1000).toFixed(4), time.toFixed(3)])
  }
  return csvTable(['elapsed s', 'frame ms'], rows)
}
