import { isNull } from 'drizzle-orm'
import { partLabel } from '#core/parts/part'
import type { LibraryView } from '#shared/views'
import type { Database } from '../db/client'
import { parts, rivals, shelf, sources } from '../db/schema'
import { loadWorkloads } from './workloads'

/** The libraries behind all builds. */
export async function libraryView(db: Database): Promise<LibraryView> {
  const [partRows, sourceRows, workloadRows, rivalRows, shelfRows] = await Promise.all([
    db.select().from(parts).orderBy(parts.role, parts.name), db.select().from(sources).orderBy(sources.name), loadWorkloads(db),
    db.select().from(rivals).where(isNull(rivals.deletedAt)).orderBy(rivals.name), db.select().from(shelf).where(isNull(shelf.deletedAt)),
  ])
  return {
    parts: partRows.map(({ query: _query, ...part }) => part),
    sources: sourceRows,
    workloads: workloadRows,
    rivals: rivalRows,
    shelf: shelfRows.map((row) => {
      const part = partRows.find((each) => each.id === row.partId)!
      return { ...row, name: partLabel(part), role: part.role }
    }),
  }
}
