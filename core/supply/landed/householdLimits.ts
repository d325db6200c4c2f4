import { groupBy } from '../../collections/groupBy'
import { compareText } from '../../text/compareText'
import type { CalendarDate } from '../../time/calendarDate'
import type { RebateState } from './rebates'

/** A rebate as part of a campaign that pays a household only so often. */
export interface CampaignClaim {
  readonly id: string
  /** Name of the campaign; empty: none. */
  readonly campaign: string
  /** How often one household is paid; null: no limit. */
  readonly perHousehold: number | null
  readonly claimBy: CalendarDate
  readonly state: RebateState
}

/**
 * Ids of the rebates that go beyond what a household is paid. Paid ones use up the limit first, then claimed ones,
 * then by claim-by day and id; refused and missed ones use up nothing. Where rebates of one campaign state different
 * limits, the lowest holds.
 */
export function beyondHousehold(claims: readonly CampaignClaim[]): Set<string> {
  const beyond = new Set<string>()
  const standing = claims.filter(
    (claim) => claim.campaign !== '' && claim.state !== 'refused' && claim.state !== 'missed',
  )
  const order: Readonly<Record<string, number>> = { paid: 0, claimed: 1, 'to-claim': 2 }
  for (const group of groupBy(standing, (claim) => claim.campaign.trim().toLowerCase()).values()) {
    const limit = Math.min(...group.map((claim) => claim.perHousehold ?? Infinity))
    const sorted = [...group].sort(
      (a, b) =>
        order[a.state]! - order[b.state]! || compareText(a.claimBy, b.claimBy) || compareText(a.id, b.id),
    )
    for (const claim of sorted.slice(limit === Infinity ? sorted.length : limit))
      if (claim.state !== 'paid') beyond.add(claim.id)
  }
  return beyond
}
