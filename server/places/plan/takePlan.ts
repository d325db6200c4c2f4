import { CoreError } from '#core/errors/coreError'
import { coreRoles, type Role } from '#core/parts/part'
import type { Change } from '#core/whatif/change'
import { taken } from '#core/whatif/proposed'
import { buildRow } from '#server/context/findBuild'
import { marketOf } from '#server/context/marketReadings'
import { waysOf } from '#server/context/waysToGet'
import type { Database } from '#server/db/client'
import { ConflictError } from '#server/errors/conflictError'
import { useWorld } from '#server/readings/useWorld'
import type { World } from '#server/readings/world'
import { carryOut } from '#server/whatif/carryOut'
import { whatIf } from '#server/whatif/whatIf'
import type { BuildView } from '#shared/builds/views'
import type { PlanInput, TakePlanInput } from '#shared/plan/schemas'
import type { PlanOnReceipt, PlanTaken } from '#shared/plan/views'
import { buildPage } from '../builds/buildView'
import { insertVariant } from '../builds/variants'
import { choicesBeside, presentWays } from './planQuestion'

/** What a plan comes to on the receipt. */
export function planOnReceipt(world: World, buildId: string, plan: PlanInput, today: string): PlanOnReceipt {
  const { after, refused } = whatIf(world, buildId, changesOfPlan(world, buildId, plan, today), today)
  if (!after) throw new CoreError('not-as-planned', { why: refused!.message }, refused!.path)
  return {
    totals: after.receipt.totals,
    left: after.receipt.left,
    stops: after.findings.filter(({ severity }) => severity === 'stops').map(({ what }) => what),
  }
}

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
  const changes = changesOfPlan(world, buildId, plan, today)
  return db.transaction(async (tx) => {
    const id = into === 'build' ? buildId : await insertVariant(tx, buildId, name || 'The plan', today)
    const { action } = await carryOut(tx, id, changes, { today, text: 'the plan taken', path: 'ways' })
    return { buildId: id, isVariant: into === 'variant', action }
  })
}

const libraryOf = (world: World) => new Map(marketOf(world).library.map((part) => [part.id, part]))

/** What taking a plan is made of. Of a lot what the plan does without stays out of the machine. */
function changesOfPlan(
  world: World,
  buildId: string,
  { ways: ids, sold, without }: PlanInput,
  today: string,
): Change[] {
  const build = buildRow(world, buildId)
  const view = buildPage(world, buildId, today)
  const chosen = new Set(view.choices.map(({ leadId }) => leadId))
  const ways = waysOf(world, build.id, today, chosen)
  const gone = goneChoices(world, view, ids).map((choice): Change => ({ kind: 'remove', choice }))
  const leave = sold.map((id, index): Change => {
    const item = view.choices.find((choice) => id === `choice:${choice.id}`)?.item
    if (!item || item.place !== 'build') throw new CoreError('no-thing', { id }, `sold[${index}]`)
    return { kind: 'sell', item: item.id }
  })
  const patience = build.houseRules.patience ?? 'typical'
  const changes = [...gone, ...leave]
  for (const [index, id] of ids.entries()) {
    const present = view.choices.find((choice) => id === `choice:${choice.id}`)
    const outOf = (line: string) =>
      without
        .filter(({ way }) => way === id)
        .forEach(({ part }) => changes.push({ kind: 'leave-out', line, part }))
    if (present) outOf(present.id)
    else {
      const way = ways.find((each) => each.id === id)
      if (!way) throw new CoreError('planned-way-gone', { id }, `ways[${index}]`)
      changes.push(taken(way, 'from the plan', patience))
      outOf(`new:${changes.length - 1}`)
    }
  }
  return changes
}

/** Choices of the present build that the plan does without. */
function goneChoices(world: World, view: BuildView, ids: readonly string[]): string[] {
  const beside = choicesBeside(view, libraryOf(world))
  return view.choices
    .filter(
      (choice) =>
        choice.item === null &&
        choice.paidOn === null &&
        choice.scope !== 'test' &&
        !beside.has(choice.id) &&
        choice.parts.some(({ role }) => isCore(role)) &&
        !ids.includes(`choice:${choice.id}`),
    )
    .map(({ id }) => id)
}

const isCore = (role: Role) => ([...coreRoles, 'donor'] as readonly Role[]).includes(role)
