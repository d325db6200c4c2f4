import { and, eq, isNull } from 'drizzle-orm'
import type { Queryable } from '../db/client'
import { builds } from '../db/schema/builds'
import type { World } from '../readings/world'
import { NotFoundError } from '../errors/notFoundError'

/** A build as its row states it. */
export type BuildRow = typeof builds.$inferSelect

/** The same of a world. */
export function buildRow(world: World, buildId: string): BuildRow {
  const build = world.rows.builds.one('id', buildId)
  if (!build || build.deletedAt !== null) throw new NotFoundError('build', buildId)
  return build
}

/** The build with an id; a build that is not there, or was archived, is a `NotFoundError`. */
export async function findBuild(db: Pick<Queryable, 'select'>, buildId: string): Promise<BuildRow> {
  const [build] = await db
    .select()
    .from(builds)
    .where(and(eq(builds.id, buildId), isNull(builds.deletedAt)))
  if (!build) throw new NotFoundError('build', buildId)
  return build
}
