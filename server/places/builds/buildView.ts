import { buildReading } from '#server/context/readBuild'
import type { BuildToWeigh } from '#server/context/buildToWeigh'
import { findBuild } from '#server/context/findBuild'
import { AfterCommit } from '#server/db/afterCommit'
import type { Database, Queryable } from '#server/db/client'
import { NotFoundError } from '#server/errors/notFoundError'
import { reading } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'
import type { BuildView } from '#shared/builds/views'
import { weighBuild } from '../scales/readScales'

/** Everything the interface shows of a build, computed from what is stored. */
export const buildPage = reading(
  'build page',
  (world, buildId: string, today: string): BuildView => {
    const { view, toWeigh, scales } = buildReading(world, buildId, today)
    // another build on the scales is read without its own scales, so that two may weigh each other
    const loadBuild = (id: string): BuildToWeigh | null => {
      try {
        return buildReading(world, id, today).toWeigh
      } catch (error) {
        if (error instanceof NotFoundError) return null
        throw error
      }
    }
    return { ...view, weighing: weighBuild(world, toWeigh, scales, loadBuild) }
  },
  { most: 500 },
)

export async function buildView(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  today: string,
): Promise<BuildView> {
  return buildPage(await useWorld(db), buildId, today)
}

/** The same as the answer to a change; the build is there, or the change is refused. */
export async function buildAfter(
  db: Database,
  buildId: string,
  today: string,
): Promise<AfterCommit<BuildView>> {
  await findBuild(db, buildId)
  return new AfterCommit((after) => buildView(after, buildId, today))
}
