import type { FrameLog } from './frameLog'

const bucketMs = 100
/** Least stretch, in buckets, that two logs must share to be held against each other. */
const leastShared = 30

/**
 * By how many ms the second log must be moved so that its slow and fast stretches lie on those of the first: the shift,
 * in steps of 100 ms, with the highest correlation of mean frame times a tenth of a second. Repeats of one scene are
 * rarely started at the same moment. O(shifts · length).
 *
 * @param mostMs furthest shift tried either way
 * @returns 0 where the logs share too little to tell
 */
export function alignLogs(first: FrameLog, second: FrameLog, mostMs = 20_000): number {
  const [a, b] = [buckets(first), buckets(second)]
  let best = { shift: 0, merit: -Infinity }
  const most = Math.floor(mostMs / bucketMs)
  for (let shift = -most; shift <= most; shift += 1) {
    const merit = correlation(a, b, shift)
    // of equals the smallest shift
    if (
      merit > best.merit + 1e-12 ||
      (Math.abs(merit - best.merit) <= 1e-12 && Math.abs(shift) < Math.abs(best.shift))
    )
      best = { shift, merit }
  }
  return best.merit === -Infinity ? 0 : best.shift * bucketMs
}

/** ln of the mean frame time of each tenth of a second; a bucket without a frame's end holds the one before. */
function buckets({ times, ends }: FrameLog): number[] {
  const sums: { sum: number; count: number }[] = []
  for (let i = 0; i < times.length; i += 1) {
    const at = Math.floor(ends[i]! / bucketMs)
    const bucket = (sums[at] ??= { sum: 0, count: 0 })
    bucket.sum += times[i]!
    bucket.count += 1
  }
  let last = 0
  return Array.from(sums, (bucket) => {
    if (bucket) last = Math.log(bucket.sum / bucket.count)
    return last
  })
}

function correlation(a: readonly number[], b: readonly number[], shift: number): number {
  const from = Math.max(0, shift)
  const to = Math.min(a.length, b.length + shift)
  const n = to - from
  if (n < leastShared) return -Infinity
  let [sa, sb, saa, sbb, sab] = [0, 0, 0, 0, 0]
  for (let i = from; i < to; i += 1) {
    const [x, y] = [a[i]!, b[i - shift]!]
    sa += x
    sb += y
    saa += x * x
    sbb += y * y
    sab += x * y
  }
  const spread = Math.sqrt((saa - (sa * sa) / n) * (sbb - (sb * sb) / n))
  return spread > 1e-12 ? (sab - (sa * sb) / n) / spread : -Infinity
}
