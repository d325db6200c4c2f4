import { isNull } from 'drizzle-orm'
import ical from 'ical-generator'
import { readBuild } from '#server/context/readBuild'
import type { Database } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import type { DatedBuild } from '#shared/ledger/views'
import { deadlines } from './deadlines'

/** The dates of a build, each with its name. */
async function datesOf(db: Database, buildId: string, today: string): Promise<DatedBuild[]> {
  const read = await readBuild(db, buildId, today)
  return (await deadlines(db, read, today)).map((each) => ({ ...each, buildId, build: read.view.name }))
}

/** The dates of every build, the nearest first. */
export async function allDates(db: Database, today: string): Promise<DatedBuild[]> {
  const rows = await db.select({ id: builds.id }).from(builds).where(isNull(builds.deletedAt))
  const dates = await Promise.all(rows.map(({ id }) => datesOf(db, id, today)))
  return dates.flat().sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
}

/** The dates of a build as iCalendar: claims, returns, auctions, the day it is wanted. All-day entries. */
export async function buildCalendar(db: Database, buildId: string, today: string): Promise<string> {
  const { view } = await readBuild(db, buildId, today)
  return calendarOf(`Tarvin: ${view.name}`, await datesOf(db, buildId, today), today)
}

/** The dates of every build as one calendar. */
export async function wholeCalendar(db: Database, today: string): Promise<string> {
  const dates = await allDates(db, today)
  return calendarOf(
    'Tarvin',
    dates.map((each) => ({ ...each, what: `${each.build}: ${each.what}` })),
    today,
  )
}

function calendarOf(name: string, dates: readonly DatedBuild[], today: string): string {
  const calendar = ical({ name, prodId: { company: 'Tarvin', product: 'Tarvin' } })
  for (const { day, what, kind, buildId } of dates) {
    const start = new Date(`${day}T00:00:00Z`)
    calendar.createEvent({
      id: `${buildId}-${kind}-${day}-${what.length}@tarvin`,
      start,
      end: new Date(start.getTime() + 86_400_000),
      allDay: true,
      timezone: 'UTC',
      summary: what,
      stamp: new Date(`${today}T00:00:00Z`),
    })
  }
  return calendar.toString()
}
