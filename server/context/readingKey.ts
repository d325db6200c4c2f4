import type { CalendarDate } from '#core/time/calendarDate'

/** What the reading of a street price is kept by. */
interface ReadingOf {
  readonly partId: string
  readonly asOf: CalendarDate
  readonly currency: string
}

/** The key of a reading; any text is an id in it, one with blanks too. */
export function readingKey(partId: string, asOf: CalendarDate, currency: string): string {
  return `${asOf} ${currency} ${partId}`
}

/**
 * What a key stands for.
 *
 * @example readingOf(readingKey('tarn 640', '2026-10-31', 'CAD')) // { partId: 'tarn 640', asOf: '2026-10-31', currency: 'CAD' }
 */
export function readingOf(key: string): ReadingOf {
  const [asOf, currency, ...id] = key.split(' ')
  return { partId: id.join(' '), asOf: asOf!, currency: currency! }
}
