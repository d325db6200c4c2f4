import { and, eq, isNull } from 'drizzle-orm'
import { groupBy } from '#core/collections/groupBy'
import { daysWaiting } from '#core/supply/risk/silence'
import type { Database } from '../db/client'
import { leads, offers } from '../db/schema/leads'

/** Open leads whose seller owes a word, and for how many days. */
export async function waitingDays(
  db: Database,
  today: string,
): Promise<{ leadId: string; title: string; days: number }[]> {
  const [rows, said] = await Promise.all([
    db
      .select({ id: leads.id, title: leads.title, askedOn: leads.askedOn })
      .from(leads)
      .where(and(isNull(leads.deletedAt), isNull(leads.vanishedOn), eq(leads.state, 'open'))),
    db.select().from(offers).where(isNull(offers.deletedAt)),
  ])
  const saidOf = groupBy(said, (offer) => offer.leadId)
  return rows.flatMap(({ id, title, askedOn }) => {
    const days = daysWaiting(askedOn, saidOf.get(id) ?? [], today)
    return days === null ? [] : [{ leadId: id, title, days }]
  })
}
