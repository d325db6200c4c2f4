import { roundHalfAway } from '../../money/decimal'
import { weightedQuantileSorted } from '../../statistics/weightedQuantileSorted'
import type { Manner } from '../../reading/sales/soldRecord'

/** What buying round the corner saves against buying by post. Amounts in minor units. */
export interface PlaceGap {
  readonly local: { readonly count: number; readonly typical: number }
  readonly online: { readonly count: number; readonly typical: number }
  /** Local against online, percent; negative where local is cheaper. */
  readonly percent: number
}

const fewest = 3

/** Typical of local hand-overs against typical of auctions and fixed prices together; null under three of either. */
export function localAgainstOnline(
  comps: readonly { readonly manner: Manner; readonly unitPrice: number; readonly weight: number }[],
): PlaceGap | null {
  const side = (isLocal: boolean) => {
    const own = comps
      .filter((comp) => (comp.manner === 'local') === isLocal)
      .sort((a, b) => a.unitPrice - b.unitPrice)
    if (own.length < fewest) return null
    return {
      count: own.length,
      typical: roundHalfAway(
        weightedQuantileSorted(
          Float64Array.from(own, (comp) => comp.unitPrice),
          Float64Array.from(own, (comp) => comp.weight),
          0.5,
        ),
      ),
    }
  }
  const [local, online] = [side(true), side(false)]
  return local && online ? { local, online, percent: 100 * (local.typical / online.typical - 1) } : null
}
