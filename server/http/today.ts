import { CoreError } from '#core/coreError'
import { isCalendarDate, type CalendarDate } from '#core/time/calendarDate'

/** The date the application takes for today: `TARVIN_TODAY` where set, else the machine's local date. */
export function today(): CalendarDate {
  const pinned = process.env.TARVIN_TODAY
  if (pinned) {
    if (!isCalendarDate(pinned)) throw new CoreError('bad-today', `TARVIN_TODAY is "${pinned}"; write it as 2026-10-31`)
    return pinned
  }
  const now = new Date()
  return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`
}
