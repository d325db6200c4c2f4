import { eq, inArray } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { toDecimal } from '#core/money/decimal'
import { coreRoles, type Role } from '#core/parts/part'
import type { Way } from '#core/supply/ways/way'
import { assertCalculable } from '#server/context/assertCalculable'
import { findBuild, type BuildRow } from '#server/context/findBuild'
import { useMarket } from '#server/context/market'
import type { Market } from '#server/context/marketState'
import { waysToGet } from '#server/context/waysToGet'
import { actIn, undoIn } from '#server/db/action'
import type { Database, Queryable } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { actions } from '#server/db/schema/ledger'
import { choices } from '#server/db/schema/machine'
import type { BuildView } from '#shared/builds/views'
import type { TakePlanInput } from '#shared/plan/schemas'
import type { PlanOnReceipt, PlanTaken } from '#shared/plan/views'
import { ConflictError } from '#server/errors/conflictError'
import { buildView } from '../builds/buildView'
import { insertVariant } from '../builds/variants'
import { choicesBeside, presentWays } from './planQuestion'
import { findItem, moveItem } from '../ledger/itemSteps'
import { insertChoice } from '../machine/choices'
import { takeIn } from '../machine/fix'

/** What a plan comes to on the receipt: it is taken, read, and taken back before anybody sees it. */
export async function planOnReceipt(
  db: Database,
  buildId: string,
  ways: readonly string[],
  sold: readonly string[],
  today: string,
): Promise<PlanOnReceipt> {
  let seen: PlanOnReceipt | null = null
  const plan = await planned(db, buildId, { ways, sold }, today)
  await db
    .transaction(async (tx) => {
      await write(tx, plan, buildId, today)
      // a transaction reads as its database does
      const view = await buildView(tx as unknown as Database, buildId, today)
      seen = {
        totals: view.receipt.totals,
        left: view.receipt.left,
        stops: view.fit.findings.filter(({ severity }) => severity === 'stops').map(({ what }) => what),
      }
      throw new TakenBack()
    })
    .catch((error: unknown) => {
      if (!(error instanceof TakenBack)) throw error
    })
  return seen!
}

class TakenBack extends Error {}

/** Takes a plan: what it does without leaves the build, what it adds comes in; or all of it as a variant. */
export async function takePlan(
  db: Database,
  buildId: string,
  { ways, sold, present, into, name }: TakePlanInput,
  today: string,
): Promise<PlanTaken> {
  const plan = await planned(db, buildId, { ways, sold }, today)
  const now = presentWays(plan.view, new Map(plan.market.library.map((part) => [part.id, part])))
  const ids = now.map(({ way }) => way.id)
  if (ids.length !== present.length || ids.some((id) => !present.includes(id)))
    throw new ConflictError('the build', ids)
  return db.transaction(async (tx) => {
    const id = into === 'build' ? buildId : await insertVariant(tx, buildId, name || 'The plan', today)
    const done = await write(tx, plan, id, today)
    await assertCalculable(tx, id, today, 'ways')
    return { buildId: id, isVariant: into === 'variant', ...done }
  })
}

/** Takes a plan back: what it brought goes, what it took away returns. */
export async function undoPlan(
  db: Database,
  buildId: string,
  { added, removed, dropped, moved, sold }: Omit<PlanTaken, 'buildId' | 'isVariant'>,
  today: string,
): Promise<void> {
  await db.transaction(async (tx) => {
    const set = async (ids: readonly string[], deletedAt: string | null) => {
      if (ids.length > 0)
        await tx
          .update(choices)
          .set({ deletedAt })
          .where(inArray(choices.id, [...ids]))
    }
    const own = await tx
      .select({ id: choices.id, lineId: choices.lineId, buildId: choices.buildId })
      .from(choices)
    for (const id of [...added, ...removed])
      if (!own.some((row) => row.id === id && row.buildId === buildId && row.lineId === null))
        throw new CoreError('plan-bought', {}, 'added')
    await set(added, new Date().toISOString())
    await set(removed, null)
    if (dropped.length > 0) {
      const row = await findBuild(tx, buildId)
      const rest = row.dropped.filter((id) => !dropped.includes(id))
      await tx.update(builds).set({ dropped: rest }).where(eq(builds.id, buildId))
    }
    for (const id of moved) await toShelf(tx, id, buildId, today)
    for (const id of [...sold].reverse()) await takeMoveBack(tx, id, buildId, today)
    await assertCalculable(tx, buildId, today, 'added')
  })
}

async function toBeSold(tx: Queryable, id: string, buildId: string, today: string): Promise<number> {
  const { item, name } = await findItem(tx, id)
  const of = { kind: 'move', text: `${name} moved to the shelf, for sale`, day: today, buildId }
  return actIn(tx, of, today, async (action) => {
    await moveItem(action, item, null)
    await action.update('items', id, { plan: 'resell' })
    return action.id
  })
}

async function toShelf(tx: Queryable, id: string, buildId: string, today: string): Promise<void> {
  const { item, name } = await findItem(tx, id)
  if (item.buildId !== buildId) return
  const of = { kind: 'move', text: `${name} moved to the shelf`, day: today, buildId }
  await actIn(tx, of, today, (action) => moveItem(action, item, null))
}

/** Puts a thing that was to be sold back into the build; another build's actions are none of it. */
async function takeMoveBack(tx: Queryable, id: number, buildId: string, today: string): Promise<void> {
  const [action] = await tx
    .select({ buildId: actions.buildId, kind: actions.kind })
    .from(actions)
    .where(eq(actions.id, id))
  if (action?.buildId !== buildId || action.kind !== 'move') throw new CoreError('no-action', { id }, 'sold')
  await undoIn(tx, id, today)
}

interface Planned {
  readonly build: BuildRow
  readonly view: BuildView
  readonly market: Market
  readonly taken: readonly Way[]
  /** Choices of the present build that the plan does without. */
  readonly gone: readonly string[]
  /** Things of mine that it does without. */
  readonly sold: readonly string[]
}

async function planned(
  db: Database,
  buildId: string,
  asked: { readonly ways: readonly string[]; readonly sold: readonly string[] },
  today: string,
): Promise<Planned> {
  const { ways: ids } = asked
  const build = await findBuild(db, buildId)
  const [view, market] = await Promise.all([buildView(db, buildId, today), useMarket(db)])
  const chosen = new Set(view.choices.map(({ leadId }) => leadId))
  const ways = await waysToGet(db, build.id, today, chosen)
  const taken = ids.flatMap((id, index) => {
    if (view.choices.some((choice) => id === `choice:${choice.id}`)) return []
    const way = ways.find((each) => each.id === id)
    if (!way) throw new CoreError('planned-way-gone', { id }, `ways[${index}]`)
    return [way]
  })
  const wanted = new Set(ids)
  const beside = choicesBeside(view, new Map(market.library.map((part) => [part.id, part])))
  const gone = view.choices
    .filter(
      (choice) =>
        choice.item === null &&
        choice.paidOn === null &&
        choice.scope !== 'test' &&
        !beside.has(choice.id) &&
        choice.parts.some(({ role }) => isCore(role)) &&
        !wanted.has(`choice:${choice.id}`),
    )
    .map(({ id }) => id)
  const sold = asked.sold.map((id, index) => {
    const item = view.choices.find((choice) => id === `choice:${choice.id}`)?.item
    if (!item || item.place !== 'build') throw new CoreError('no-thing', { id }, `sold[${index}]`)
    return item.id
  })
  return { build, view, market, taken, gone, sold }
}

const isCore = (role: Role) => ([...coreRoles, 'donor'] as readonly Role[]).includes(role)

async function write(
  tx: Queryable,
  { build, view, taken, gone, sold }: Planned,
  buildId: string,
  today: string,
): Promise<Omit<PlanTaken, 'buildId' | 'isVariant'>> {
  const before = await idsOf(tx, buildId)
  // a variant holds no things: it does without them
  const holdsNone = buildId !== build.id || build.variantOf !== null
  const inherited = [
    ...gone.filter(
      (id) => buildId !== build.id || view.choices.find((choice) => choice.id === id)!.isInherited,
    ),
    ...(holdsNone ? sold : []),
  ]
  if (inherited.length > 0) {
    const row = await findBuild(tx, buildId)
    await tx
      .update(builds)
      .set({ dropped: [...new Set([...row.dropped, ...inherited])] })
      .where(eq(builds.id, buildId))
  }
  const actionsOfSold: number[] = []
  for (const id of holdsNone ? [] : sold) actionsOfSold.push(await toBeSold(tx, id, buildId, today))
  const removed = gone.filter((id) => !inherited.includes(id))
  if (removed.length > 0)
    await tx.update(choices).set({ deletedAt: new Date().toISOString() }).where(inArray(choices.id, removed))
  for (const way of taken) await takeWay(tx, build, buildId, way, today)
  const added = (await idsOf(tx, buildId)).filter((id) => !before.includes(id))
  const moved =
    build.variantOf === null && buildId === build.id ? taken.flatMap(({ itemId }) => itemId ?? []) : []
  return { added, removed, dropped: inherited, moved, sold: actionsOfSold }
}

/** A hunt at another mark than the builder's patience keeps its limit, so that the receipt says what the plan said. */
async function takeWay(
  tx: Queryable,
  build: BuildRow,
  buildId: string,
  way: Way,
  today: string,
): Promise<void> {
  const isOwnMark = way.mark === null || way.mark === (build.houseRules.patience ?? 'typical')
  if (isOwnMark) return takeIn(tx, buildId, way, reason, today)
  await insertChoice(
    tx,
    buildId,
    {
      kind: 'hunt',
      partId: way.part.id,
      leadId: null,
      shelfId: null,
      condition: 'used',
      scope: 'core',
      reason,
      limit: toDecimal(way.payNow, build.currency),
    },
    today,
  )
}

const reason = 'from the plan'

async function idsOf(tx: Queryable, buildId: string): Promise<string[]> {
  const rows = await tx.select({ id: choices.id }).from(choices).where(eq(choices.buildId, buildId))
  return rows.map(({ id }) => id)
}
