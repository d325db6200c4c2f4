/** Air that a fan moves through a case by its size, CFM (docs/formulas.md, Power and fit). */
const flowBySize: Readonly<Record<number, number>> = { 80: 8, 92: 12, 120: 20, 140: 28 }
/** A supply that draws its air from the case helps with so much. */
const supplyFlow = 10
/** Watts that a case gives off through its walls, without air. */
const throughWalls = 60

/** What fans move at best, all in one direction, CFM; a fan of a size not stated is taken as 120 mm. */
export function caseFlow(fanSizesMm: readonly (number | undefined)[], withSupply: boolean): number {
  const fans = fanSizesMm.reduce<number>((sum, size) => sum + (flowBySize[size ?? 120] ?? 20), 0)
  return fans + (withSupply ? supplyFlow : 0)
}

/**
 * How much warmer it gets inside than in the room, K: 1.76 · max(0, W − 60) / CFM; 0 where nothing moves air, since then
 * the formula says nothing.
 *
 * @example warmingInside(196, 30) // 8.0
 */
export function warmingInside(heatW: number, flowCfm: number): number {
  return flowCfm === 0 ? 0 : (1.76 * Math.max(0, heatW - throughWalls)) / flowCfm
}
