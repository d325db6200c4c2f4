import { sourceRow } from './sourceRow'
import { marketChanged } from '#server/context/market'
import type { Database } from '#server/db/client'
import { sources } from '#server/db/schema/sources'
import type { SourceInput } from '#shared/sources/schemas'

export async function saveSource(db: Database, source: SourceInput): Promise<{ id: string }> {
  const row = sourceRow(source)
  await db.insert(sources).values(row).onConflictDoUpdate({ target: sources.id, set: row })
  marketChanged(db)
  return { id: source.id }
}
