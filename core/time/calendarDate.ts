import { CoreError } from '../errors/coreError'

/** A calendar date, `YYYY-MM-DD`, without a time of day or zone. Compares correctly as text. */
export type CalendarDate = string

const pattern = /^(\d{4})-(\d{2})-(\d{2})$/
const dayInMs = 86_400_000

/** True for a date that exists (2026-02-29 does not). */
export function isCalendarDate(text: string): boolean {
  const match = pattern.exec(text)
  if (!match) return false
  const [year, month, day] = [Number(match[1]), Number(match[2]), Number(match[3])]
  const date = new Date(Date.UTC(year, month - 1, day))
  return date.getUTCFullYear() === year && date.getUTCMonth() === month - 1 && date.getUTCDate() === day
}

/** Days since 1970-01-01. Throws `not-a-date` for anything but an existing calendar date. */
export function dayNumber(date: CalendarDate, path = ''): number {
  if (!isCalendarDate(date)) {
    throw new CoreError('not-a-date', { written: String(date).slice(0, 40) }, path)
  }
  return Date.UTC(Number(date.slice(0, 4)), Number(date.slice(5, 7)) - 1, Number(date.slice(8, 10))) / dayInMs
}

/** The calendar date of a day number, the opposite of `dayNumber`. */
export function dateOfDay(day: number): CalendarDate {
  return new Date(day * dayInMs).toISOString().slice(0, 10)
}

/** Whole days from `earlier` to `later`; negative where they stand the other way round. */
export function daysBetween(earlier: CalendarDate, later: CalendarDate): number {
  return dayNumber(later) - dayNumber(earlier)
}

/** `date` moved by whole days. */
export function addDays(date: CalendarDate, days: number): CalendarDate {
  return dateOfDay(dayNumber(date) + days)
}

/** Years from one date to a later one, in years of 365.25 days; below zero the other way round. */
export function yearsBetween(from: CalendarDate, to: CalendarDate): number {
  return daysBetween(from, to) / 365.25
}

/**
 * The same day so many months later; the last of the month where that has no such day.
 *
 * @example addMonths('2026-01-31', 1) // '2026-02-28'
 */
export function addMonths(date: CalendarDate, months: number): CalendarDate {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number]
  const at = year * 12 + (month - 1) + months
  const [toYear, toMonth] = [Math.floor(at / 12), (at % 12) + 1]
  const first = `${String(toYear).padStart(4, '0')}-${String(toMonth).padStart(2, '0')}-01`
  const next = toMonth === 12 ? `${toYear + 1}-01-01` : `${toYear}-${String(toMonth + 1).padStart(2, '0')}-01`
  return addDays(first, Math.min(day, daysBetween(first, next)) - 1)
}
