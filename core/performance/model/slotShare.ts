import type { Part } from '../../parts/part'

/**
 * Share of its frames that a card keeps on few lanes, by the version of the slot (docs/formulas.md, Frame estimate).
 */
const shares: Readonly<Record<number, Readonly<Record<number, number>>>> = {
  8: { 2: 0.88, 3: 0.95, 4: 0.98 },
  4: { 2: 0.7, 3: 0.82, 4: 0.92 },
}
/** From this version on eight lanes are as good as all; four then move what eight moved before. */
const wideEnough = 5

/**
 * Share of its frames that a card keeps in a board's slot: the fewer lanes and the older version of both count.
 *
 * @returns null where lanes or version of either are not known and could matter, or where no figure is known (one lane)
 * @example slotShareOf({ facts: { lanes: 8, pcieVersion: 4 } }, { facts: { lanes: 16, pcieVersion: 3 } }) // 0.95
 */
export function slotShareOf({ facts: card }: Part, { facts: board }: Part): number | null {
  const lanes = least(card.lanes, board.lanes)
  if (lanes === null) return null
  if (lanes >= 16) return 1
  const version = least(card.pcieVersion, board.pcieVersion)
  if (version === null) return null
  if (version >= wideEnough) return lanes >= 8 ? 1 : (shares[2 * lanes]?.[4] ?? null)
  return shares[lanes]?.[Math.floor(version)] ?? null
}

/** The least of all shares: what a slot of which nothing is known may cost a card of few lanes. */
export const narrowestShare = 0.7

/** GB/s that one lane moves, by version. */
const laneGbs: Readonly<Record<number, number>> = { 1: 0.25, 2: 0.5, 3: 1, 4: 2, 5: 4 }

/** What a card and its slot move between them, GB/s; null where lanes or version of either are not known. */
export function linkOf({ facts: card }: Part, { facts: board }: Part): number | null {
  const lanes = least(card.lanes, board.lanes)
  const version = least(card.pcieVersion, board.pcieVersion)
  const each = version === null ? undefined : laneGbs[Math.floor(version)]
  return lanes === null || each === undefined ? null : lanes * each
}

const least = (a: number | undefined, b: number | undefined) =>
  a === undefined || b === undefined ? null : Math.min(a, b)
