import { readFileSync } from 'node:fs'
import { CoreError } from '#core/errors/coreError'
import { isCalendarDate, type CalendarDate } from '#core/time/calendarDate'

/**
 * The date the application takes for today: `TARVIN_TODAY` where set, else what stands in the file that
 * `TARVIN_TODAY_FILE` names (a simulation moves it on), else the machine's local date.
 */
export function today(): CalendarDate {
  const pinned = process.env.TARVIN_TODAY
  if (pinned) {
    if (!isCalendarDate(pinned)) throw new CoreError('bad-today', { written: pinned })
    return pinned
  }
  const file = process.env.TARVIN_TODAY_FILE
  if (file) {
    const written = readDate(file)
    if (!isCalendarDate(written))
      throw new CoreError('bad-today-file', { file, written: written.slice(0, 40) })
    return written
  }
  const now = new Date()
  return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`
}

function readDate(file: string): string {
  try {
    return readFileSync(file, 'utf8').trim()
  } catch (cause) {
    throw new CoreError('no-today-file', { file }, '', { cause })
  }
}
