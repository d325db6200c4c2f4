import { compareText } from '../../text/compareText'

/** An open lead that might stand in for one that is gone. Amounts in minor units of the build's currency. */
export interface Candidate {
  readonly id: string
  /** Roles of what is kept, sorted, as one text. */
  readonly roles: string
  /** Expected cost once the rest is sold. */
  readonly cost: number
  /** What the kept things are worth, in the role's own measure (index, gigabytes, watts); null where not known. */
  readonly worth: number | null
}

export interface Substitute {
  readonly id: string
  /** Cost less that of what is gone. */
  readonly more: number
  /** Worth over that of what is gone, less one; null where not known. */
  readonly change: number | null
}

/**
 * What can stand in for a chosen lead that is gone: leads for the same roles whose machine has no more findings that
 * stop than before, nearest in worth first, then cheapest. Where worth is not known the cost alone decides.
 *
 * @param stopsWith findings that stop with the candidate in place
 */
export function nearestSubstitutes(
  gone: Candidate,
  stopsBefore: number,
  candidates: readonly Candidate[],
  stopsWith: (id: string) => number,
  most = 3,
): Substitute[] {
  const distance = (worth: number | null) =>
    worth === null || gone.worth === null || gone.worth === 0 ? 1 : Math.abs(worth / gone.worth - 1)
  return candidates
    .filter((each) => each.id !== gone.id && each.roles === gone.roles)
    .sort((a, b) => distance(a.worth) - distance(b.worth) || a.cost - b.cost || compareText(a.id, b.id))
    .filter((each) => stopsWith(each.id) <= stopsBefore)
    .slice(0, most)
    .map((each) => ({
      id: each.id,
      more: each.cost - gone.cost,
      change:
        each.worth === null || gone.worth === null || gone.worth === 0 ? null : each.worth / gone.worth - 1,
    }))
}
