import { estimateFrameRate } from '../core/performance/estimateFrameRate'
import { csvTable } from '../core/sharing/csvCell'
import { addDays } from '../core/time/calendarDate'
import { catalogue } from './catalogue'
import { chance as makeChance } from './random'
import { demoToday, demoWorkloads } from './trade'

const sizes = [[1920, 1080], [2560, 1440], [3840, 2160]] as const

/** 120 measured runs: the true machine is a little off the library's defaults, and each reading off by chance. */
export function demoRuns(seed: number) {
  const chance = makeChance(seed)
  const truth = demoWorkloads.map((workload) => ({ ...workload, graphicsMs: workload.graphicsMs * Math.exp(chance.normal() * 0.06), cpuMs: workload.cpuMs * Math.exp(chance.normal() * 0.06) }))
  const cpus = catalogue.filter((part) => part.role === 'cpu' && part.facts.cpuIndex! > 60)
  const cards = catalogue.filter((part) => part.role === 'graphics' && part.facts.graphicsIndex! > 40)
  return Array.from({ length: 120 }, (_, index) => {
    const workload = truth[index % truth.length]!
    const [cpu, card, [width, height]] = [chance.pick(cpus), chance.pick(cards), chance.pick(sizes)]
    const preset = chance.pick(Object.keys(workload.presets))
    const estimate = estimateFrameRate(workload, { cpuIndex: cpu.facts.cpuIndex!, threads: cpu.facts.threads!, graphicsIndex: card.facts.graphicsIndex!, videoMemoryGb: card.facts.vramGb!, memoryChannels: 2 }, { width, height, preset })
    const noise = Math.exp(chance.normal() * 0.04)
    return {
      id: `run-${index + 1}`, workloadId: workload.id, cpuId: cpu.id, graphicsId: card.id, memoryChannels: 2, width, height, preset,
      averageFps: Math.round(estimate.averageFps * noise * 10) / 10, lowFps: Math.round(estimate.lowFps * noise * 10) / 10,
      kind: chance.weighted([['own-log', 3], ['own-reading', 3], ['published', 4]] as const), ranOn: addDays(demoToday, -chance.whole(3, 300)), note: '',
    }
  })
}

/** A frame-time log in ms: a steady pace, slow waves, now and then a stutter. */
export function frameLogCsv(seed: number, meanMs: number): string {
  const chance = makeChance(seed)
  const rows: string[][] = []
  let elapsed = 0
  for (let frame = 0; frame < 6000; frame += 1) {
    const wave = 1 + 0.12 * Math.sin(frame / 240)
    const time = meanMs * wave * Math.exp(chance.normal() * 0.06) * (chance.happens(0.0012) ? 4 + chance.share() * 3 : 1)
    elapsed += time
    rows.push([(elapsed / 1000).toFixed(4), time.toFixed(3)])
  }
  return csvTable(['elapsed s', 'frame ms'], rows)
}
