import { daysBetween, type CalendarDate } from '../../time/calendarDate'

/** A dated price read, as it was kept. */
export interface PastRead {
  readonly readOn: CalendarDate
  readonly typical: number
}

/** How the typical mark moved from a past read to now. */
export interface ReadChange {
  readonly since: CalendarDate
  readonly days: number
  readonly before: number
  /** Percent, positive for a rise. */
  readonly percent: number
}

/** Change from one figure to the next in percent, positive for a rise. */
export function percentChange(before: number, now: number): number {
  return 100 * (now / before - 1)
}

/**
 * Movement since the newest of the reads that is at least `days` old, else since the oldest one; null where none is
 * before today.
 */
export function changeSince(
  reads: readonly PastRead[],
  now: { readonly on: CalendarDate; readonly typical: number },
  days = 30,
): ReadChange | null {
  const past = reads
    .filter((read) => read.readOn < now.on && read.typical > 0)
    .sort((a, b) => (a.readOn < b.readOn ? -1 : 1))
  const chosen = past.filter((read) => daysBetween(read.readOn, now.on) >= days).at(-1) ?? past[0]
  if (!chosen) return null
  return {
    since: chosen.readOn,
    days: daysBetween(chosen.readOn, now.on),
    before: chosen.typical,
    percent: percentChange(chosen.typical, now.typical),
  }
}
