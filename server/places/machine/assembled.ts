import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import type { assembledSchema } from '#shared/machine/schemas'
import type { Database } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { findBuild } from '#server/context/findBuild'

/** Ticks a line of the assembly sheet, or opens it again; what is done is kept in the order it was done. */
export async function setAssembled(
  db: Database,
  buildId: string,
  { line, isDone }: InferType<typeof assembledSchema>,
): Promise<readonly string[]> {
  const { assembled } = await findBuild(db, buildId)
  const others = assembled.filter((each) => each !== line)
  const now = isDone ? [...others, line] : others
  await db.update(builds).set({ assembled: now }).where(eq(builds.id, buildId))
  return now
}
