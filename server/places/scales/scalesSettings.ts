import { findBuild } from '#server/context/findBuild'
import { and, eq, isNull } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import { likeForLikeSteps } from '#core/comparison/adjustments/adjustments'
import type { WeighingInput } from '#shared/scales/schemas'
import type { WeighingSettings } from '#shared/scales/settings'
import type { Database } from '#server/db/client'
import { builds } from '#server/db/schema/builds'

/** Keeps how a build is weighed: years, way of playing, steps switched off, the builder's own figures. */
export async function saveWeighing(db: Database, buildId: string, input: WeighingInput): Promise<void> {
  const build = await findBuild(db, buildId)
  for (const [index, other] of input.builds.entries()) {
    const [found] = await db
      .select({ currency: builds.currency })
      .from(builds)
      .where(and(eq(builds.id, other), isNull(builds.deletedAt)))
    if (!found || other === buildId) throw new CoreError('unknown-build', { id: other }, `builds[${index}]`)
    if (found.currency !== build.currency)
      throw new CoreError(
        'other-currency',
        { currency: build.currency, other: found.currency },
        `builds[${index}]`,
      )
  }
  const known = new Set(likeForLikeSteps.map((rule) => rule.id))
  const stepOf = (id: string, path: string) => {
    if (!known.has(id)) throw new CoreError('unknown-step', { id }, path)
    return id
  }
  const edits = Object.fromEntries(
    Object.entries(input.edits).map(([machine, own]) => [
      machine,
      Object.fromEntries(
        Object.entries(own).map(([step, amount]) => [
          stepOf(step, `edits.${machine}`),
          parseDecimal(amount, build.currency, `edits.${machine}.${step}`),
        ]),
      ),
    ]),
  )
  const weighing: WeighingSettings = {
    ...input,
    off: input.off.map((id, index) => stepOf(id, `off[${index}]`)),
    usualShipping:
      input.usualShipping === null
        ? null
        : parseDecimal(input.usualShipping, build.currency, 'usualShipping'),
    edits,
  }
  await db.update(builds).set({ weighing }).where(eq(builds.id, buildId))
}
