import type { Database } from '#server/db/client'
import { ConflictError } from '#server/errors/conflictError'
import { useWorld } from '#server/readings/useWorld'
import { carryOut } from '#server/whatif/carryOut'
import type { TakePlanInput } from '#shared/plan/schemas'
import type { PlanTaken } from '#shared/plan/views'
import { buildPage } from '../builds/buildView'
import { insertVariant } from '../builds/variants'
import { libraryOf } from './planBasis'
import { changesOfPlan } from './planChanges'
import { presentWays } from './presentWays'

/** Takes a plan: what it does without leaves the build, what it adds comes in; or all of it as a variant. */
export async function takePlan(
  db: Database,
  buildId: string,
  { into, name, present, ...plan }: TakePlanInput,
  today: string,
): Promise<PlanTaken> {
  const world = await useWorld(db)
  const view = buildPage(world, buildId, today)
  const ids = presentWays(view, libraryOf(world)).map(({ way }) => way.id)
  if (ids.length !== present.length || ids.some((id) => !present.includes(id)))
    throw new ConflictError('the build', ids)
  const { changes } = changesOfPlan(world, buildId, plan, today)
  return db.transaction(async (tx) => {
    const id = into === 'build' ? buildId : await insertVariant(tx, buildId, name || 'The plan', today)
    const { action } = await carryOut(tx, id, changes, { today, text: 'the plan taken', path: 'ways' })
    return { buildId: id, isVariant: into === 'variant', action }
  })
}
