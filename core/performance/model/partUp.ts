import type { Part } from '../../parts/part'
import {
  graphicsIndexHere,
  joinSides,
  modelOf,
  effectiveThreads,
  shortOf,
  threadsShare,
  type FrameMachine,
} from './frameTime'
import type { FrameEstimate } from './estimateFrameRate'
import type { Workload } from './workload'

/** A part counts as the next one up from this much more index on. */
const worthwhile = 1.08

/** The next stronger part of a side in a list: the least index that is 8 % above; ties by id. */
export function nextUp(parts: readonly Part[], side: 'graphics' | 'cpu', index: number): Part | null {
  const indexOf = (part: Part) => (side === 'graphics' ? part.facts.graphicsIndex : part.facts.cpuIndex) ?? 0
  const above = parts.filter((part) => part.role === side && indexOf(part) >= index * worthwhile)
  return above.sort((a, b) => indexOf(a) - indexOf(b) || (a.id < b.id ? -1 : 1))[0] ?? null
}

/**
 * What a stronger card or CPU brings, from the estimate's own split of the frame time, moved by evidence where there
 * is any: the side's time falls with its index, video memory no longer short and threads no longer missing included. The
 * engine's own limit holds what is gained.
 */
export function gainOf(
  part: Part,
  estimate: FrameEstimate,
  workload: Workload,
  machine: FrameMachine,
  videoMemoryNeed: number,
): number {
  const { graphicsMs, cpuMs, averageFps } = estimate
  const model = modelOf(workload)
  const gain = (g: number, c: number) =>
    Math.min(workload.frameCap ?? Infinity, 1000 / joinSides(g, c, model).frameMs) / averageFps - 1
  if (part.role === 'graphics') {
    const short = (have: number) => 1 + model.shortageFactor * shortOf(videoMemoryNeed, have, machine.linkGbs)
    const factor =
      (graphicsIndexHere(machine) /
        graphicsIndexHere({ ...machine, memoryShare: 1, graphicsIndex: part.facts.graphicsIndex! })) *
      (short(part.facts.vramGb ?? machine.videoMemoryGb) / short(machine.videoMemoryGb))
    return gain(graphicsMs * factor, cpuMs)
  }
  const threads = (of: Pick<FrameMachine, 'threads' | 'cores'>) =>
    threadsShare(effectiveThreads(of, model), workload.threadsWanted, model)
  const { threads: count = machine.threads, cores } = part.facts
  const factor =
    (machine.cpuIndex / part.facts.cpuIndex!) *
    (threads(machine) / threads({ threads: count, ...(cores === undefined ? {} : { cores }) }))
  return gain(graphicsMs, cpuMs * factor)
}
