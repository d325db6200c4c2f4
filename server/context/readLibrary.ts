import { isNull } from 'drizzle-orm'
import { partLabel } from '#core/parts/part'
import type { LibraryView } from '#shared/parts/views'
import type { Database } from '../db/client'
import { builds } from '../db/schema/builds'
import { items } from '../db/schema/ledger'
import { parts } from '../db/schema/parts'
import { rivals } from '../db/schema/rivals'
import { sources } from '../db/schema/sources'
import { loadWorkloads } from './workloads'

/** The libraries behind all builds. */
export async function libraryView(db: Database): Promise<LibraryView> {
  const [partRows, sourceRows, workloadRows, rivalRows, itemRows, buildRows] = await Promise.all([
    db.select().from(parts).orderBy(parts.role, parts.name),
    db.select().from(sources).orderBy(sources.name),
    loadWorkloads(db),
    db.select().from(rivals).where(isNull(rivals.deletedAt)).orderBy(rivals.name),
    db.select().from(items).orderBy(items.id),
    db.select({ id: builds.id, name: builds.name }).from(builds).where(isNull(builds.deletedAt)),
  ])
  return {
    parts: partRows.map(({ query: _query, ...part }) => part),
    sources: sourceRows,
    workloads: workloadRows,
    rivals: rivalRows,
    shelf: itemRows
      .filter((row) => row.plan !== 'discard' && row.place !== 'ordered')
      .map(
        ({
          id,
          partId,
          condition,
          place,
          state,
          goneBecause,
          remaining,
          currency,
          note,
          soldFor,
          leftOn,
          ...row
        }) => {
          const part = partRows.find((each) => each.id === partId)!
          return {
            id,
            partId,
            name: partLabel(part),
            role: part.role,
            condition,
            place,
            state,
            goneBecause,
            remaining,
            currency,
            note,
            build: buildRows.find((build) => build.id === (row.buildId ?? row.payerId)) ?? null,
            soldFor,
            leftOn,
          }
        },
      ),
  }
}
