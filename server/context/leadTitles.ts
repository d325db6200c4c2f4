import { inArray } from 'drizzle-orm'
import type { Database } from '#server/db/client'
import { leads } from '#server/db/schema/leads'

/** Titles by id, of leads in any state. */
export async function titlesOf(db: Database, ids: readonly string[]): Promise<Map<string, string>> {
  if (ids.length === 0) return new Map()
  const rows = await db
    .select({ id: leads.id, title: leads.title })
    .from(leads)
    .where(inArray(leads.id, [...ids]))
  return new Map(rows.map((row) => [row.id, row.title]))
}
