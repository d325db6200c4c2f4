import { scaleLinear } from 'd3-scale'

/** A tread of a staircase: where it begins along the money axis, how high it stands, how it looks. */
export interface Tread {
  readonly id: string
  readonly at: number
  readonly rise: number
  readonly label: string
  /** what stands under its edge */
  readonly foot: string
  /** the whole of it in words, for a pointer and for a reader */
  readonly told: string
  readonly look: 'plain' | 'good' | 'surplus' | 'doubtful' | 'selected'
  /** what is in the build now: an edge that stands out, its name above the tread */
  readonly isPresent?: boolean
}

/** A level across the stairs, such as what a target asks for. */
export interface StairLevel {
  readonly at: number
  readonly label: string
  readonly isAim?: boolean
}

export interface PlacedTread extends Tread {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
  /** whether the next tread leaves its name, and its foot, room */
  readonly hasRoom: boolean
}

const room = 72
const margin = { left: 44, right: 8, top: 24, bottom: 26 }

/**
 * Places treads in a picture of `width` by `height`: each reaches to the next, the last to the edge. The money axis
 * begins at 0 or the least value, with the last tread left a tenth of the width; the rise axis at 0.
 * No treads: none placed.
 */
export function placeTreads(
  treads: readonly Tread[],
  levels: readonly StairLevel[],
  width: number,
  height: number,
): { treads: PlacedTread[]; yOf(rise: number): number; ground: number } {
  const sorted = [...treads].sort((a, b) => a.at - b.at)
  const least = Math.min(0, sorted[0]?.at ?? 0)
  const most = Math.max(1, sorted.at(-1)?.at ?? 1)
  const top = Math.max(
    ...sorted.map((tread) => tread.rise),
    ...levels.filter((l) => l.isAim).map((l) => l.at),
    1e-9,
  )
  const ground = height - margin.bottom
  const x = scaleLinear([least, least + (most - least) * 1.1], [margin.left, width - margin.right])
  const y = scaleLinear([0, top], [ground, margin.top])
  return {
    ground,
    yOf: (rise) => y(rise),
    treads: sorted.map((tread, index) => {
      const next = sorted[index + 1]
      const from = x(tread.at)
      const to = next ? x(next.at) : width - margin.right
      return {
        ...tread,
        x: from,
        y: y(tread.rise),
        width: Math.max(2, to - from),
        height: Math.max(1, ground - y(tread.rise)),
        hasRoom: !next || to - from > room,
      }
    }),
  }
}
