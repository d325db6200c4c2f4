import { partLabel, type Part } from '../../parts/part'
import { linkOf, narrowestShare, slotShareOf } from './slotShare'
import { memoryShareOf, memoryShareRange } from './memoryShare'
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
  const board = parts.find((part) => part.role === 'motherboard')
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
      ...shareHere(parts, cpu, card),
      ...(board && card.role === 'graphics' ? slotOf(card, board) : {}),
      ...abilityOf(card),
      ...(memory.length > 0 && gigabytes.every((each) => each !== undefined)
        ? { systemMemoryGb: gigabytes.reduce((sum, each) => sum + each, 0) }
        : {}),
      ...(parts.some(isSlow) ? { memorySlow: true } : {}),
      pair: pairOf(cpu.id, card.id),
      ...(unsure.some(({ fact }) => fact !== '')
        ? {
            unsure: unsure.filter(({ fact }) => fact !== '').map(({ middle: _between, ...open }) => open),
          }
        : {}),
    },
    missing: [],
  }
}

/** What the slot keeps of the card's speed, and what it moves, where lanes and versions are known. */
function slotOf(card: Part, board: Part): Pick<FrameMachine, 'slotShare' | 'linkGbs'> {
  const slotShare = slotShareOf(card, board)
  const linkGbs = linkOf(card, board)
  return { ...(slotShare === null ? {} : { slotShare }), ...(linkGbs === null ? {} : { linkGbs }) }
}

const abilityOf = ({ facts: { upscales, generatesFrames } }: Part): Partial<FrameMachine> => ({
  ...(upscales === undefined ? {} : { upscales }),
  ...(generatesFrames === undefined ? {} : { generatesFrames }),
})

/** Graphics of the CPU live from the machine's memory; a card has its own. */
function shareHere(parts: readonly Part[], cpu: Part, card: Part): Pick<FrameMachine, 'memoryShare'> {
  if (card.role !== 'cpu') return {}
  const memory = parts.filter(({ role }) => role === 'memory')
  const channels = channelsOf(memory)
  const speed = speedOf(parts)
  if (memory.length === 0 || channels === null || speed === null) return {}
  const memoryShare = memoryShareOf(cpu, channels, speed)
  return memoryShare === null ? {} : { memoryShare }
}

/** Speed at which the memory runs, MT/s: the slowest module's, as far as the board goes; null where it is not known. */
function speedOf(parts: readonly Part[]): number | null {
  const speeds = parts.flatMap(({ role, facts }) => (role === 'memory' ? [facts.speedMts] : []))
  const boards = parts.flatMap(({ role, facts }) =>
    role === 'motherboard' && facts.maxMemoryMts !== undefined ? [facts.maxMemoryMts] : [],
  )
  return speeds.some((speed) => speed === undefined) ? null : Math.min(...(speeds as number[]), ...boards)
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
  return [...found, ...unsureOfDrawing(parts, cpu, card)]
}

/** What is not known of a card in its slot, of graphics that live from the memory, and of what draws can do besides. */
function unsureOfDrawing(
  parts: readonly Part[],
  cpu: Part,
  card: Part,
): (Unsure & { readonly middle: Partial<FrameMachine> })[] {
  const board = parts.find(({ role }) => role === 'motherboard')
  const memory = parts.filter(({ role }) => role === 'memory')
  const isNarrow = [card, board].some((part) => (part?.facts.lanes ?? 16) < 16)
  const found: (Unsure & { readonly middle: Partial<FrameMachine> })[] = []
  if (card.role === 'graphics' && board && isNarrow && slotShareOf(card, board) === null)
    found.push({
      fact: `PCIe version and lanes of ${partLabel(board)}`,
      low: { slotShare: narrowestShare },
      high: { slotShare: 1 },
      middle: {},
    })
  if (card.role === 'cpu' && memory.length > 0) {
    const [speed, channels] = [speedOf(parts), channelsOf(memory)]
    const rated = cpu.facts.maxMemoryMts
    const open =
      rated === undefined
        ? `max memory speed of ${partLabel(cpu)}`
        : speed === null
          ? `speed of ${partLabel(memory[0]!)}`
          : ''
    const ends = { low: memoryShareRange.least, high: rated === undefined ? memoryShareRange.most : 1 }
    const share = (side: 'low' | 'high', count: number) =>
      open === '' ? memoryShareOf(cpu, count, speed!)! : ends[side]
    if (open !== '' || channels === null)
      found.push({
        fact: open === '' ? `modules of ${partLabel(memory[0]!)}` : open,
        low: { memoryShare: share('low', 1) },
        high: { memoryShare: share('high', 2) },
        middle: {},
      })
  }
  for (const [fact, setting, what] of [
    ['upscales', 'upscaling', 'upscaling'],
    ['generatesFrames', 'frameGeneration', 'frame generation'],
  ] as const)
    if (card.facts[fact] === undefined)
      found.push({
        fact: `${what} of ${partLabel(card)}`,
        of: setting,
        low: { [fact]: false },
        high: { [fact]: true },
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
