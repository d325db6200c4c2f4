import { inArray, sql } from 'drizzle-orm'
import type { Database } from '#server/db/client'
import { arrivals } from '#server/db/schema/ledger'

/** The newest arrival of each choice, by choice; of two on a day the one noted last. */
export async function arrivalsOf(
  db: Pick<Database, 'select'>,
  choiceIds: readonly string[],
): Promise<Map<string, typeof arrivals.$inferSelect>> {
  if (choiceIds.length === 0) return new Map()
  const rows = await db
    .select()
    .from(arrivals)
    .where(inArray(arrivals.choiceId, [...choiceIds]))
    .orderBy(arrivals.day, sql`rowid`)
  return new Map(rows.map((row) => [row.choiceId, row]))
}
