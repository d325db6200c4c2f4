import { readBuild } from '#server/context/readBuild'
import type { Database } from '#server/db/client'
import { NotFoundError } from '#server/errors/notFoundError'
import type { BuildView } from '#shared/builds/views'
import { weighBuild } from '../scales/readScales'

/** Everything the interface shows of a build, computed from what is stored. */
export async function buildView(db: Database, buildId: string, today: string): Promise<BuildView> {
  const { view, toWeigh, scales } = await readBuild(db, buildId, today)
  // another build on the scales is read without its own scales, so that two may weigh each other
  const loadBuild = (id: string) =>
    readBuild(db, id, today).then(
      (other) => other.toWeigh,
      (error: unknown) => {
        if (error instanceof NotFoundError) return null
        throw error
      },
    )
  return { ...view, weighing: await weighBuild(db, toWeigh, scales, loadBuild) }
}
