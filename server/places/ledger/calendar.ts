import ical from 'ical-generator'
import { buildRow, rootIdOf } from '#server/context/findBuild'
import { buildReading } from '#server/context/readBuild'
import type { Database } from '#server/db/client'
import { reading } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'
import type { DatedBuild } from '#shared/ledger/views'
import { deadlines } from './deadlines'

/** The dates of a build, each with its name. */
const datesOf = reading('dates of build', (world, buildId: string, today: string): readonly DatedBuild[] => {
  const read = buildReading(world, buildId, today)
  return deadlines(world, read, today).map((each) => ({ ...each, buildId, build: read.view.name }))
})

/** The dates of every build, the nearest first. */
export async function allDates(db: Database, today: string): Promise<DatedBuild[]> {
  const world = await useWorld(db)
  const builds = world.rows.builds.where('deletedAt', null)
  // what a variant shares with its build is one parcel, one claim, one machine
  const told = new Set<string>()
  return builds
    .toSorted((a, b) => Number(a.variantOf !== null) - Number(b.variantOf !== null))
    .flatMap((build) => {
      const keyOf = ({ day, kind, what }: DatedBuild) => [rootIdOf(world, build), day, kind, what].join(' ')
      const own = datesOf(world, build.id, today).filter((each) => !told.has(keyOf(each)))
      for (const each of own) told.add(keyOf(each))
      return own
    })
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
}

/** The dates of a build as iCalendar: claims, returns, auctions, the day it is wanted. All-day entries. */
export async function buildCalendar(db: Database, buildId: string, today: string): Promise<string> {
  const world = await useWorld(db)
  return calendarOf(`Tarvin: ${buildRow(world, buildId).name}`, datesOf(world, buildId, today), today)
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
