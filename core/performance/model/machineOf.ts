import { partLabel, type Part } from '../../parts/part'
import type { FrameMachine, Unsure } from './frameTime'

/** The frame machine of a set of parts, or what is still missing to know it. */
export type FrameMachineResult =
  | { readonly machine: FrameMachine; readonly missing: readonly [] }
  | { readonly machine: null; readonly missing: readonly string[] }

/**
 * Reads indexes, threads, video memory and memory channels from the parts of a machine. A CPU with graphics of its
 * own stands in for a card where it states a graphics index. Memory channels are the modules in place, two where
 * there are two or more.
 */
export function frameMachineOf(parts: readonly Part[]): FrameMachineResult {
  const cpu = parts.find((part) => part.role === 'cpu')
  const card =
    parts.find((part) => part.role === 'graphics') ??
    (cpu?.facts.graphicsIndex !== undefined ? cpu : undefined)
  const missing: string[] = []
  if (!cpu) missing.push('a CPU')
  else if (cpu.facts.cpuIndex === undefined) missing.push("the CPU's index")
  if (!card) missing.push('a graphics card')
  else if (card.facts.graphicsIndex === undefined) missing.push("the card's index")
  if (missing.length > 0 || !cpu || !card) return { machine: null, missing }
  const unsure = unsureOf(parts, cpu, card)
  const middle = Object.assign({}, ...unsure.map(({ middle: between }) => between)) as Partial<FrameMachine>
  const { cores } = cpu.facts
  const memory = parts.filter((part) => part.role === 'memory')
  const gigabytes = memory.map(({ facts }) => facts.capacityGb)
  return {
    machine: {
      cpuIndex: cpu.facts.cpuIndex!,
      threads: cpu.facts.threads ?? middle.threads!,
      ...(cores === undefined ? {} : { cores }),
      graphicsIndex: card.facts.graphicsIndex!,
      videoMemoryGb: card.facts.vramGb ?? middle.videoMemoryGb!,
      memoryChannels: channelsOf(memory) ?? 2,
      ...(memory.length > 0 && gigabytes.every((each) => each !== undefined)
        ? { systemMemoryGb: gigabytes.reduce((sum, each) => sum + each, 0) }
        : {}),
      ...(parts.some(isSlow) ? { memorySlow: true } : {}),
      pair: pairOf(cpu.id, card.id),
      ...(unsure.some(({ fact }) => fact !== '')
        ? {
            unsure: unsure
              .filter(({ fact }) => fact !== '')
              .map(({ fact, low, high }) => ({ fact, low, high })),
          }
        : {}),
    },
    missing: [],
  }
}

/** Channels filled by the modules; null where a kit does not say how many it has. Without memory: two. */
function channelsOf(memory: readonly Part[]): number | null {
  if (memory.length === 0) return 2
  const counts = memory.map(({ facts }) => facts.kitCount)
  const known = counts.reduce<number>((sum, count) => sum + (count ?? 1), 0)
  return counts.some((count) => count === undefined) && known < 2 ? null : Math.min(2, known)
}

/** Video memory that a card of today plausibly has, GB, from end to end. */
const plausibleVideoMemory = [4, 12] as const
/** Threads that a CPU plausibly has where not even its cores are known. */
const plausibleThreads = [4, 16] as const

/** Facts that frames depend on and that are not known, with their plausible ends and what stands between. */
function unsureOf(
  parts: readonly Part[],
  cpu: Part,
  card: Part,
): (Unsure & { readonly middle: Partial<FrameMachine> })[] {
  const found: (Unsure & { readonly middle: Partial<FrameMachine> })[] = []
  if (cpu.facts.threads === undefined) {
    const { cores } = cpu.facts
    const [low, high] = cores === undefined ? plausibleThreads : [cores, 2 * cores]
    found.push({
      fact: `threads of ${partLabel(cpu)}`,
      low: { threads: low },
      high: { threads: high },
      middle: { threads: Math.round(Math.sqrt(low * high)) },
    })
  }
  if (card.facts.vramGb === undefined && card.role === 'graphics') {
    const [low, high] = plausibleVideoMemory
    found.push({
      fact: `video memory of ${partLabel(card)}`,
      low: { videoMemoryGb: low },
      high: { videoMemoryGb: high },
      middle: { videoMemoryGb: Math.round(Math.sqrt(low * high)) },
    })
  }
  // graphics of the CPU's own borrows what it needs of the machine's memory
  if (card.facts.vramGb === undefined && card.role === 'cpu')
    found.push({ fact: '', low: {}, high: {}, middle: { videoMemoryGb: plausibleVideoMemory[0] } })
  const memory = parts.filter((part) => part.role === 'memory')
  if (channelsOf(memory) === null)
    found.push({
      fact: `modules of ${partLabel(memory[0]!)}`,
      low: { memoryChannels: 1 },
      high: { memoryChannels: 2 },
      middle: {},
    })
  return found
}

/** Usual speed of each generation, MT/s: memory below it slows the CPU side. */
export const usualMemorySpeed: Readonly<Record<string, number>> = { DDR3: 1333, DDR4: 2666, DDR5: 4800 }

function isSlow({ role, facts }: Part): boolean {
  const usual = usualMemorySpeed[facts.memoryGeneration ?? '']
  return role === 'memory' && usual !== undefined && facts.speedMts !== undefined && facts.speedMts < usual
}

/** The pair that a machine's frames come from; null without a CPU or anything that draws. */
export function machinePair(parts: readonly Part[]): string | null {
  const cpu = parts.find((part) => part.role === 'cpu')
  const card =
    parts.find((part) => part.role === 'graphics') ??
    (cpu?.facts.graphicsIndex === undefined ? undefined : cpu)
  return cpu && card ? pairOf(cpu.id, card.id) : null
}

/** Name of a pair of CPU and card: runs on the same pair are of one machine as far as frames go. */
export function pairOf(cpuId: string, graphicsId: string): string {
  return `${cpuId} + ${graphicsId}`
}
