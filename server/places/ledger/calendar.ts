import ical from 'ical-generator'
import type { Database } from '#server/db/client'
import { buildView } from '../builds/buildView'
import { ledgerView } from './ledgerView'

/** The dates ahead of a build as iCalendar: claims, returns, auctions, the day it is wanted. All-day entries. */
export async function buildCalendar(db: Database, buildId: string, today: string): Promise<string> {
  const [{ name }, { deadlines }] = await Promise.all([
    buildView(db, buildId, today),
    ledgerView(db, buildId, today),
  ])
  const calendar = ical({ name: `Tarvin: ${name}`, prodId: { company: 'Tarvin', product: 'Tarvin' } })
  for (const { day, what, kind } of deadlines) {
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
