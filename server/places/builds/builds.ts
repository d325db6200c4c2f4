import { eq } from 'drizzle-orm'
import type { Database, Queryable } from '#server/db/client'
import { newId } from '#server/db/ids'
import { builds } from '#server/db/schema/builds'
import { NotFoundError } from '#server/errors/notFoundError'
import type { BriefInput } from '#shared/brief/schemas'
import { readSetting, writeSetting } from '#server/context/settings'
import { briefRow } from '../brief/briefRow'
import { replaceTargets } from '../brief/targets'

/** Builds, their briefs and their choices: writing them down. */

/** Begins a build. The currency of the first one becomes the home currency, where none has been chosen yet. */
export async function createBuild(db: Database, brief: BriefInput, today: string): Promise<string> {
  return db.transaction(async (tx) => {
    if ((await readSetting(tx, 'homeCurrency')) === null)
      await writeSetting(tx, 'homeCurrency', brief.currency)
    return insertBuild(tx, brief, today)
  })
}

export async function insertBuild(tx: Queryable, brief: BriefInput, today: string): Promise<string> {
  const id = newId(brief.name)
  await tx.insert(builds).values({ ...briefRow(brief), id, createdAt: today })
  await replaceTargets(tx, id, brief)
  return id
}

/** Deletes or brings back a build. */
export async function setBuildDeleted(
  db: Database,
  buildId: string,
  deletedAt: string | null,
): Promise<void> {
  const { rowsAffected } = await db.update(builds).set({ deletedAt }).where(eq(builds.id, buildId))
  if (rowsAffected === 0) throw new NotFoundError('build', buildId)
}
