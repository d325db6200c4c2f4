import { eq, isNull } from 'drizzle-orm'
import { partLabel } from '#core/parts/part'
import type { LibraryView } from '#shared/parts/views'
import type { Database } from '../db/client'
import { builds } from '../db/schema/builds'
import { choices } from '../db/schema/machine'
import { parts } from '../db/schema/parts'
import { rivals } from '../db/schema/rivals'
import { shelf } from '../db/schema/shelf'
import { sources } from '../db/schema/sources'
import { loadWorkloads } from './workloads'

/** The libraries behind all builds. */
export async function libraryView(db: Database): Promise<LibraryView> {
  const [partRows, sourceRows, workloadRows, rivalRows, shelfRows, chosen] = await Promise.all([
    db.select().from(parts).orderBy(parts.role, parts.name),
    db.select().from(sources).orderBy(sources.name),
    loadWorkloads(db),
    db.select().from(rivals).where(isNull(rivals.deletedAt)).orderBy(rivals.name),
    db.select().from(shelf).where(isNull(shelf.deletedAt)),
    db
      .select({
        id: choices.id,
        shelfId: choices.shelfId,
        buildId: builds.id,
        build: builds.name,
        deletedAt: choices.deletedAt,
      })
      .from(choices)
      .innerJoin(builds, eq(builds.id, choices.buildId))
      .where(isNull(builds.deletedAt)),
  ])
  return {
    parts: partRows.map(({ query: _query, ...part }) => part),
    sources: sourceRows,
    workloads: workloadRows,
    rivals: rivalRows,
    shelf: shelfRows.map((row) => {
      const part = partRows.find((each) => each.id === row.partId)!
      return {
        ...row,
        name: partLabel(part),
        role: part.role,
        buildId: chosen.find((choice) => choice.id === row.fromChoiceId)?.buildId ?? null,
        usedIn:
          chosen.find((choice) => choice.shelfId === row.id && choice.deletedAt === null)?.build ?? null,
      }
    }),
  }
}
