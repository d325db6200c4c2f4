import type { Part } from '../../parts/part'
import type { FrameMachine } from './frameTime'

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
  const modules = parts
    .filter((part) => part.role === 'memory')
    .reduce((sum, part) => sum + (part.facts.kitCount ?? 1), 0)
  const missing: string[] = []
  if (!cpu) missing.push('a CPU')
  else if (cpu.facts.cpuIndex === undefined) missing.push("the CPU's index")
  if (!card) missing.push('a graphics card')
  else if (card.facts.graphicsIndex === undefined) missing.push("the card's index")
  if (missing.length > 0 || !cpu || !card) return { machine: null, missing }
  return {
    machine: {
      cpuIndex: cpu.facts.cpuIndex!,
      threads: cpu.facts.threads ?? cpu.facts.cores ?? 4,
      graphicsIndex: card.facts.graphicsIndex!,
      videoMemoryGb: card.facts.vramGb ?? 2,
      memoryChannels: modules === 0 ? 2 : Math.min(2, modules),
      ...(parts.some(isSlow) ? { memorySlow: true } : {}),
    },
    missing: [],
  }
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
