import { riskDefaults } from '../../assumptions/groups/risk'
import { daysBetween, type CalendarDate } from '../../time/calendarDate'

/** Days after which a seller who was asked counts as silent, where the rules say nothing else. */
export const defaultAnswerDays = riskDefaults.answerDays

/**
 * Days since a seller was last asked or offered something without a word back; null where nothing is awaited.
 *
 * @param said what was said by whom and when, in any order; of one day, mine counts as the earlier
 */
export function daysWaiting(
  askedOn: CalendarDate | null,
  said: readonly { readonly by: 'me' | 'seller'; readonly day: CalendarDate }[],
  today: CalendarDate,
): number | null {
  const last = (by: 'me' | 'seller') =>
    said
      .filter((each) => each.by === by)
      .reduce<CalendarDate | null>(
        (latest, { day }) => (latest === null || day > latest ? day : latest),
        null,
      )
  const mine = [askedOn, last('me')].reduce<CalendarDate | null>(
    (latest, day) => (day !== null && (latest === null || day > latest) ? day : latest),
    null,
  )
  const theirs = last('seller')
  if (mine === null || (theirs !== null && theirs >= mine)) return null
  return Math.max(0, daysBetween(mine, today))
}
