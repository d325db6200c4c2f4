import type { BuildRow } from '#server/context/findBuild'
import type { Queryable } from '../db/client'
import type { choices } from '../db/schema/machine'
import { useWorld } from '../readings/useWorld'
import type { World } from '../readings/world'

type ChoiceRow = typeof choices.$inferSelect
type BuildOfChoices = Pick<BuildRow, 'id' | 'currency' | 'variantOf' | 'dropped'>
const deepest = 5

/**
 * The choices of a build in their order. A variant stores only its differences: it has the choices of the build it is a
 * variant of, less those it does without, and its own. A hunt's limit in another currency does not carry over: it then
 * stands at the street price.
 */
export function choicesOf(world: World, build: BuildOfChoices, depth = 0): readonly ChoiceRow[] {
  const own = world.rows.choices
    .where('buildId', build.id)
    .filter(({ deletedAt }) => deletedAt === null)
    .sort((a, b) => a.position - b.position)
  if (build.variantOf === null || depth >= deepest) return own
  const parent = world.rows.builds.one('id', build.variantOf)
  if (!parent) return own
  const inherited = choicesOf(world, parent, depth + 1).filter((row) => !build.dropped.includes(row.id))
  return [
    ...inherited.map((row) => (parent.currency === build.currency ? row : { ...row, limit: null })),
    ...own,
  ]
}

export async function choiceRowsOf(
  db: Pick<Queryable, 'select'>,
  build: BuildOfChoices,
): Promise<readonly ChoiceRow[]> {
  return choicesOf(await useWorld(db), build)
}
