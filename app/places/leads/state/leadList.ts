import { daysBetween } from '#core/time/calendarDate'
import type { LeadView } from '#shared/leads/views'

/** How long a lead has stood, or when it ends. */
export function leadAge(lead: Pick<LeadView, 'listedOn' | 'endsOn'>, today: string): string {
  if (lead.endsOn !== null) {
    const left = daysBetween(today, lead.endsOn)
    return left < 0 ? 'ended' : left === 0 ? 'ends today' : `ends in ${left} d`
  }
  const age = daysBetween(lead.listedOn, today)
  return age <= 0 ? 'today' : `${age} d`
}
