import { targetName } from '#core/performance/model/targetName'
import { useWorld } from '#server/readings/useWorld'
import { findBuild, rootIdOf, type BuildRow } from '#server/context/findBuild'
import type { OpenAction } from '#server/db/action'
import { eq, isNull, max } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import { rateTable } from '#core/money/rates'
import type { ChoiceInput } from '#shared/machine/schemas'
import type { VariantsView } from '#shared/builds/views'
import type { Database, Queryable } from '#server/db/client'
import { buildRivals } from '#server/db/schema/scales'
import { builds } from '#server/db/schema/builds'
import { items } from '#server/db/schema/ledger'
import { choices } from '#server/db/schema/machine'
import { targets } from '#server/db/schema/brief'
import { exchangeRates } from '#server/db/schema/prices'
import { NotFoundError } from '#server/errors/notFoundError'
import { buildView } from './buildView'
import { choiceRowsOf } from '#server/context/choicesOf'
import { newId } from '#server/db/ids'

/** Variants of a build: the same machine but for some choices, or in another region. */

/** Begins a variant: the brief is its own from here on, the choices are the build's until one is changed. */
export async function createVariant(
  db: Database,
  buildId: string,
  name: string,
  today: string,
): Promise<string> {
  return db.transaction((tx) => insertVariant(tx, buildId, name, today))
}

export async function insertVariant(
  tx: Queryable,
  buildId: string,
  name: string,
  today: string,
): Promise<string> {
  const parent = await findBuild(tx, buildId)
  const id = newId(name)
  await tx.insert(builds).values({
    ...parent,
    id,
    name,
    variantOf: buildId,
    dropped: [],
    passed: {},
    settled: [...parent.settled],
    createdAt: today,
  })
  for (const target of await tx.select().from(targets).where(eq(targets.buildId, buildId)))
    await tx.insert(targets).values({ ...target, id: newId('target'), buildId: id })
  for (const rival of await tx.select().from(buildRivals).where(eq(buildRivals.buildId, buildId)))
    await tx.insert(buildRivals).values({ ...rival, buildId: id })
  return id
}

/** Whether an id names a thing of mine rather than a choice. */
export async function isItem(db: Database, id: string): Promise<boolean> {
  return (await db.select({ id: items.id }).from(items).where(eq(items.id, id))).length > 0
}

/** Whether a choice came to a build from the one it is a variant of. */
export async function isInherited(db: Database, choiceId: string, buildId: string): Promise<boolean> {
  const [choice] = await db.select({ buildId: choices.buildId }).from(choices).where(eq(choices.id, choiceId))
  if (!choice && (await isItem(db, choiceId))) return true
  if (!choice) throw new NotFoundError('choice', choiceId)
  if (choice.buildId === buildId) return false
  const build = await findBuild(db, buildId)
  if (build.dropped.includes(choiceId)) return true
  return (await choiceRowsOf(db, build)).some((row) => row.id === choiceId)
}

/** A variant does without a choice it came with, or has it again. */
export async function setDropped(
  db: Database,
  buildId: string,
  choiceId: string,
  isDropped: boolean,
): Promise<void> {
  const build = await findBuild(db, buildId)
  const rest = build.dropped.filter((each) => each !== choiceId)
  await db
    .update(builds)
    .set({ dropped: isDropped ? [...rest, choiceId] : rest })
    .where(eq(builds.id, buildId))
}

/** Changes a choice that a variant came with: it becomes the variant's own, the build's stays as it is. */
export async function changeInherited(
  db: Database,
  buildId: string,
  choiceId: string,
  change: {
    scope?: ChoiceInput['scope'] | undefined
    reason?: string | undefined
    limit?: string | null | undefined
    leftOut?: string[] | undefined
    condition?: 'used' | 'new' | null | undefined
  },
): Promise<void> {
  await db.transaction(async (tx) => {
    const build = await findBuild(tx, buildId)
    const row = (await choiceRowsOf(tx, build)).find((each) => each.id === choiceId)
    if (!row) throw new NotFoundError('choice', choiceId)
    const [last] = await tx
      .select({ position: max(choices.position) })
      .from(choices)
      .where(eq(choices.buildId, buildId))
    await tx.insert(choices).values({
      ...row,
      id: newId('choice'),
      buildId,
      position: (last?.position ?? 99) + 1,
      ...(change.condition === undefined ? {} : { condition: change.condition }),
      ...(change.scope === undefined ? {} : { scope: change.scope }),
      ...(change.reason === undefined ? {} : { reason: change.reason }),
      ...(change.leftOut === undefined ? {} : { leftOut: change.leftOut }),
      ...(change.limit === undefined
        ? {}
        : { limit: change.limit === null ? null : parseDecimal(change.limit, build.currency, 'limit') }),
    })
    await tx
      .update(builds)
      .set({ dropped: [...build.dropped, choiceId] })
      .where(eq(builds.id, buildId))
  })
}

/**
 * Makes a variant the build: its own choices become the build's, and what it does without leaves it there; the
 * variant is then like its build. Done before a variant pays, since a variant holds no money.
 */
export async function makeTheBuild(action: OpenAction, variant: BuildRow): Promise<void> {
  const rootId = variant.variantOf!
  const root = await findBuild(action.tx, rootId)
  if (root.currency !== variant.currency)
    throw new CoreError(
      'variant-other-currency',
      {
        name: variant.name,
        currency: variant.currency,
        variant: root.name,
        own: root.currency,
        payIn: root.name,
      },
      'id',
    )
  for (const row of await choiceRowsOf(action.tx, root))
    if (variant.dropped.includes(row.id)) await action.update('choices', row.id, { deletedAt: action.day })
  for (const row of await choiceRowsOf(action.tx, { ...variant, variantOf: null }))
    await action.update('choices', row.id, { buildId: rootId })
  await action.update('builds', variant.id, { dropped: [] })
}

/** A build beside its variants and its siblings: what they share, where they differ, totals, findings, targets. */
export async function variantsView(db: Database, buildId: string, today: string): Promise<VariantsView> {
  const build = await findBuild(db, buildId)
  const world = await useWorld(db)
  const rootId = rootIdOf(world, build)
  const family = (await db.select().from(builds).where(isNull(builds.deletedAt)))
    .filter((row) => rootIdOf(world, row) === rootId)
    .sort((a, b) => Number(a.id !== rootId) - Number(b.id !== rootId) || (a.createdAt < b.createdAt ? -1 : 1))
  const [views, rates] = await Promise.all([
    Promise.all(family.map((row) => buildView(db, row.id, today))),
    db.select().from(exchangeRates),
  ])
  const currencies = [...new Set(views.map(({ currency }) => currency))]
  const table = rateTable(rates)
  const common = views[0]!.choices.filter((choice) =>
    views.every((view) => view.choices.some((each) => each.id === choice.id)),
  )
  return {
    shared: common.map(({ id, label }) => ({ id, label })),
    rates: currencies.flatMap((from) =>
      currencies.flatMap((to) => {
        if (from === to) return []
        const found = table.dated(today, from, to)
        return [{ from, to, rate: found === null ? null : String(found.rate), date: found?.date ?? today }]
      }),
    ),
    machines: views.map((view) => ({
      id: view.id,
      name: view.name,
      currency: view.currency,
      isVariant: view.id !== rootId,
      totals: view.receipt.totals,
      left: view.receipt.left,
      findings: view.fit.findings.map(({ severity, what }) => ({ severity, what })),
      targets: view.targets.map((target) => ({
        name: targetName(target),
        fps: target.estimate?.averageFps ?? null,
        wanted: target.averageFps,
        verdict: target.verdict,
      })),
      lines: view.choices
        .filter((choice) => !common.some((each) => each.id === choice.id))
        .map(({ id, label, payNow }) => ({ id, label, payNow })),
    })),
  }
}
