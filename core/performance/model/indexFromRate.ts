import type { Part, PartFacts } from '../../parts/part'
import { estimateFrameRate, limitOf, type Limit } from './estimateFrameRate'
import { modelOf } from './frameTime'
import { indexNeeded } from './indexNeeded'
import { frameMachineOf } from './machineOf'
import type { FrameSettings, Workload } from './workload'

/** A rate that somebody measured or published, with what it was measured on besides the part itself. */
export interface KnownRate {
  readonly workload: Workload
  readonly settings: FrameSettings
  readonly averageFps: number
  /** The other part of the pair, with an index of its own. */
  readonly beside: Part
}

/** An index by the model turned round. */
export interface SolvedIndex {
  readonly index: number
  /** Where it lies if the rate is off either way by the usual spread of a result; null: no index gives as much. */
  readonly low: number
  readonly high: number | null
  /** What limits there: an index is told poorly by a rate that the other part holds back. */
  readonly limit: Limit
  /** That spread, as a share of the rate. */
  readonly doubt: number
}

/**
 * The index of a part by one frame rate: the one at which the model gives just this average. docs/formulas.md (Frame
 * estimate), inverted by halving.
 *
 * @returns null where no index gives the rate: the other part, or the engine's own limit, is too slow
 * @throws RangeError where the other part has no index
 * @example At a = b = 10, one megapixel, a CPU of 100 and 87.06 fps the card's index is 100.
 */
export function indexFromRate(
  part: Part,
  { workload, settings, averageFps, beside }: KnownRate,
): SolvedIndex | null {
  const side = part.role === 'cpu' ? 'cpu' : 'graphics'
  const fact = side === 'cpu' ? 'cpuIndex' : 'graphicsIndex'
  const withIndex = (index: number): Part => ({
    ...part,
    facts: { ...part.facts, [fact]: index } as PartFacts,
  })
  const machineAt = (index: number) => {
    const { machine, missing } = frameMachineOf([withIndex(index), beside])
    if (!machine) throw new RangeError(`to calculate the index, add ${missing.join(' and ')}`)
    const { pair: _pair, unsure: _unsure, ...known } = machine
    return known
  }
  const solve = (rate: number) =>
    indexNeeded(workload, machineAt(100), settings, { averageFps: rate, lowFps: null }, side)
  const doubt = modelOf(workload).residualSpread
  const index = solve(averageFps)
  if (index === null || averageFps >= (workload.frameCap ?? Infinity)) return null
  const { graphicsShare } = estimateFrameRate(workload, machineAt(index), settings)
  return {
    index,
    low: solve(averageFps * (1 - doubt))!,
    high: solve(averageFps * (1 + doubt)),
    limit: limitOf(graphicsShare),
    doubt,
  }
}
