import type { BuildRow } from '#server/context/findBuild'
import { and, eq, isNull } from 'drizzle-orm'
import type { Database } from '../db/client'
import { builds } from '../db/schema/builds'
import { choices } from '../db/schema/machine'

type ChoiceRow = typeof choices.$inferSelect
const deepest = 5

/**
 * The choices of a build in their order. A variant stores only its differences: it has the choices of the build it is a
 * variant of, less those it does without, and its own. A hunt's limit in another currency does not carry over: it then
 * stands at the street price.
 */
export async function choiceRowsOf(
  db: Pick<Database, 'select'>,
  build: Pick<BuildRow, 'id' | 'currency' | 'variantOf' | 'dropped'>,
  depth = 0,
): Promise<ChoiceRow[]> {
  const own = await db
    .select()
    .from(choices)
    .where(and(eq(choices.buildId, build.id), isNull(choices.deletedAt)))
    .orderBy(choices.position)
  if (build.variantOf === null || depth >= deepest) return own
  const [parent] = await db.select().from(builds).where(eq(builds.id, build.variantOf))
  if (!parent) return own
  const inherited = (await choiceRowsOf(db, parent, depth + 1)).filter(
    (row) => !build.dropped.includes(row.id),
  )
  return [
    ...inherited.map((row) => (parent.currency === build.currency ? row : { ...row, limit: null })),
    ...own,
  ]
}
