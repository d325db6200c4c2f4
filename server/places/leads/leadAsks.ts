import { inArray } from 'drizzle-orm'
import type { Database } from '#server/db/client'
import { leadAsks } from '#server/db/schema/leads'

/** Asks of leads by lead, oldest first. */
export async function asksOf(
  db: Pick<Database, 'select'>,
  leadIds: readonly string[],
): Promise<Map<string, { day: string; ask: number }[]>> {
  if (leadIds.length === 0) return new Map()
  const rows = await db
    .select()
    .from(leadAsks)
    .where(inArray(leadAsks.leadId, [...leadIds]))
    .orderBy(leadAsks.leadId, leadAsks.day)
  const asks = new Map<string, { day: string; ask: number }[]>()
  for (const { leadId, day, ask } of rows) asks.set(leadId, [...(asks.get(leadId) ?? []), { day, ask }])
  return asks
}
