import { medianSorted } from '../../statistics/medianSorted'

const eachSide = 15
const factor = 2.5
const leastMs = 8

/**
 * Indexes of frames longer than 2.5 × the median of the 15 frames on either side (itself excluded, fewer at the ends)
 * and at least 8 ms over it. A frame alone has no neighbours and is no stutter. O(n), the median being worked out only
 * for frames that most of their neighbours undercut.
 */
export function stutterIndexes(times: ArrayLike<number>): number[] {
  const found: number[] = []
  for (let i = 0; i < times.length; i += 1) if (isStutter(times, i)) found.push(i)
  return found
}

/** Whether frame `i` is a stutter against its neighbours. */
export function isStutter(times: ArrayLike<number>, i: number): boolean {
  const time = times[i]!
  if (time <= leastMs) return false
  const from = Math.max(0, i - eachSide)
  const to = Math.min(times.length - 1, i + eachSide)
  const neighbours = to - from
  let faster = 0
  for (let j = from; j <= to; j += 1) if (times[j]! * factor < time) faster += 1
  if (faster * 2 < neighbours - 1 || neighbours === 0) return false
  const around: number[] = []
  for (let j = from; j <= to; j += 1) if (j !== i) around.push(times[j]!)
  const median = medianSorted(around.sort((a, b) => a - b))
  return time > factor * median && time - median >= leastMs
}
