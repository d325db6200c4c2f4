import { daysBetween } from '#core/time/calendarDate'
import type { Role } from '#core/parts/part'
import type { LeadView } from '#shared/leads/views'
import type { TripView } from '#shared/ledger/views'

/** Which leads an inbox shows: `hits` came in under a lookout, `untied` name no part of the library yet. */
export type LeadShow = 'open' | 'passed' | 'chosen' | 'hits' | 'untied' | 'asked'
export type LeadOrder = 'saving' | 'price' | 'age' | 'ends' | 'place'

/** The leads an inbox shows: by state and role, in one of four orders. A lead without a known saving stands last. */
export function arrangeLeads(
  leads: readonly LeadView[],
  {
    show,
    role,
    order,
    today,
    hits,
    trips = [],
  }: {
    show: LeadShow
    role: Role | ''
    order: LeadOrder
    today: string
    hits: ReadonlySet<string>
    trips?: readonly TripView[]
  },
): LeadView[] {
  /** What is sent has no distance; what is handed over and has no trip yet is not known, and stands between. */
  const distance = (lead: LeadView) =>
    trips.find((trip) => trip.id === lead.tripId)?.km ?? (lead.manner === 'local' ? 1e6 : 1e7)
  const keyOf: Readonly<Record<LeadOrder, (lead: LeadView) => number>> = {
    saving: (lead) => -(lead.value.saving ?? -Infinity),
    price: (lead) => lead.value.payNow,
    age: (lead) => daysBetween(lead.listedOn, today),
    place: (lead) => distance(lead),
    ends: (lead) => (lead.endsOn === null ? Infinity : daysBetween(today, lead.endsOn)),
  }
  const key = keyOf[order]
  return leads
    .filter((lead) => isShown(lead, show, hits))
    .filter(
      (lead) => role === '' || lead.things.some((thing) => thing.role === role && thing.plan === 'keep'),
    )
    .sort((a, b) => compare(key(a), key(b)) || (a.title < b.title ? -1 : 1))
}

function isShown(lead: LeadView, show: LeadShow, hits: ReadonlySet<string>): boolean {
  if (show === 'chosen') return lead.choiceId !== null || lead.state === 'bought'
  if (show === 'asked') return lead.state === 'open' && lead.waiting !== null
  if (show === 'hits') return hits.has(lead.id)
  if (show === 'untied') return lead.state === 'open' && lead.things.length === 0
  return lead.state === show && (show === 'passed' || lead.things.length > 0)
}

function compare(a: number, b: number): number {
  return a === b ? 0 : a < b ? -1 : 1
}

/** How long a lead has stood, or when it ends. */
export function leadAge(lead: Pick<LeadView, 'listedOn' | 'endsOn'>, today: string): string {
  if (lead.endsOn !== null) {
    const left = daysBetween(today, lead.endsOn)
    return left < 0 ? 'ended' : left === 0 ? 'ends today' : `ends in ${left} d`
  }
  const age = daysBetween(lead.listedOn, today)
  return age <= 0 ? 'today' : `${age} d`
}
