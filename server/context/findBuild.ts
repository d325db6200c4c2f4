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

/** Variants of variants, at most. */
const deepest = 20

/**
 * The build that a variant is of in the end, also where it is a variant of a variant: that one holds the things and the
 * money. Of a build its own id.
 */
export function rootIdOf(world: World, { id, variantOf }: Pick<BuildRow, 'id' | 'variantOf'>): string {
  let root = { id, variantOf }
  for (let depth = 0; root.variantOf !== null && depth < deepest; depth += 1) {
    const above = world.rows.builds.one('id', root.variantOf)
    if (!above) return root.variantOf
    root = above
  }
  return root.id
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
