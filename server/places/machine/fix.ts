import { findBuild, type BuildRow } from '#server/context/findBuild'
import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { checkFit } from '#core/machine/fit/checkFit'
import { waysToMend } from '#core/machine/fit/fixes'
import type { Way } from '#core/supply/ways/way'
import type { ChoiceInput, fixSchema, swapSchema } from '#shared/machine/schemas'
import type { Database, Queryable } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { choices } from '#server/db/schema/machine'
import { assertCalculable } from '#server/context/assertCalculable'
import { buildView } from '../builds/buildView'
import { insertChoice } from './choices'
import { findItem, moveItem } from '../ledger/itemSteps'
import { actIn } from '#server/db/action'
import { items } from '#server/db/schema/ledger'
import { fitBriefOf } from '#server/context/fitBrief'
import { useMarket } from '#server/context/market'
import { partsAtTheirWays, suggestedWays } from '#server/context/waysToGet'

async function openBuild(db: Database, buildId: string): Promise<BuildRow> {
  const build = await findBuild(db, buildId)
  return build
}

/** Takes a way to fix a finding: what it buys becomes a hunt, what it replaces leaves the machine, handiwork is noted. */
export async function takeWay(
  db: Database,
  buildId: string,
  { key, way }: InferType<typeof fixSchema>,
  today: string,
): Promise<void> {
  const build = await openBuild(db, buildId)
  const [view, market] = await Promise.all([buildView(db, buildId, today), useMarket(db)])
  const machine = {
    parts: view.parts,
    brief: fitBriefOf(market, build, today),
    settled: new Set(build.settled),
  }
  const finding = checkFit(machine).findings.find((each) => each.key === key)
  if (!finding) throw new CoreError('no-finding', {}, 'key')
  const priced = partsAtTheirWays(await suggestedWays(db, build, view))
  const row = waysToMend(finding, machine, priced, market.library).find((each) => each.way === way)
  if (!row) throw new CoreError('fix-gone', {}, 'way')
  await db.transaction(async (tx) => {
    if (row.byHand.length > 0)
      await tx
        .update(builds)
        .set({ settled: [...new Set([...build.settled, ...row.byHand])] })
        .where(eq(builds.id, buildId))
    for (const gone of row.replaces) await takeFromMachine(tx, build, view.choices, gone.id, today)
    const reason = `fixes: ${finding.what}`.slice(0, 300)
    for (const { id } of row.parts)
      await takeIn(tx, buildId, priced.find(({ part }) => part.id === id)!.way, reason, today)
    await assertCalculable(tx, buildId, today, 'key')
  })
}

/** Takes back that a finding was fixed by hand. */
export async function unsettle(db: Database, buildId: string, key: string): Promise<void> {
  const build = await openBuild(db, buildId)
  await db
    .update(builds)
    .set({ settled: build.settled.filter((each) => each !== key) })
    .where(eq(builds.id, buildId))
}

/** Takes a way to get a part in the place of what fills a role. */
export async function swap(
  db: Database,
  buildId: string,
  { way: wayId, out }: InferType<typeof swapSchema>,
  today: string,
): Promise<void> {
  const build = await openBuild(db, buildId)
  const view = await buildView(db, buildId, today)
  const way = (await suggestedWays(db, build, view)).find(({ id }) => id === wayId)
  if (!way) throw new CoreError('way-gone', {}, 'way')
  await db.transaction(async (tx) => {
    if (out) await takeFromMachine(tx, build, view.choices, out, today)
    await takeIn(tx, buildId, way, '', today)
    await assertCalculable(tx, buildId, today, 'way')
  })
}

/**
 * A choice of that part alone is removed while nothing is paid; else the part is left out of the machine and stays
 * with the builder. A donor's own part gives way by itself.
 */
async function takeFromMachine(
  tx: Queryable,
  build: BuildRow,
  chosen: Awaited<ReturnType<typeof buildView>>['choices'],
  partId: string,
  today: string,
): Promise<void> {
  const choice = chosen.find(
    (each) => each.parts.some((part) => part.id === partId) && !each.leftOut.includes(partId),
  )
  if (!choice) return
  if (choice.isInherited) {
    const [now] = await tx.select({ dropped: builds.dropped }).from(builds).where(eq(builds.id, build.id))
    await tx
      .update(builds)
      .set({ dropped: [...now!.dropped, choice.id] })
      .where(eq(builds.id, build.id))
    return
  }
  if (choice.item && choice.item.role !== 'donor') {
    const { item, name } = await findItem(tx, choice.id)
    const actionOf = { kind: 'move', text: `${name} moved to the shelf`, day: today, buildId: build.id }
    await actIn(tx, actionOf, today, (action) => moveItem(action, item, null))
  } else if (choice.item)
    await tx
      .update(items)
      .set({ leftOut: [...choice.leftOut, partId] })
      .where(eq(items.id, choice.id))
  else if (choice.parts.length === 1)
    await tx
      .update(choices)
      .set({ deletedAt: `${today}T00:00:00Z` })
      .where(eq(choices.id, choice.id))
  else
    await tx
      .update(choices)
      .set({ leftOut: [...choice.leftOut, partId] })
      .where(eq(choices.id, choice.id))
}

/** A way taken keeps what it was: the lead as a lead, new as new. A hunt goes with its price, as hunts do. */
export async function takeIn(
  tx: Queryable,
  buildId: string,
  { kind, leadId, itemId, part }: Way,
  reason: string,
  today: string,
): Promise<void> {
  const choice: ChoiceInput =
    leadId !== null
      ? { ...blankChoice, kind: 'lead', leadId, reason }
      : itemId !== null
        ? { ...blankChoice, kind: 'owned', shelfId: itemId, reason }
        : {
            ...blankChoice,
            kind: 'hunt',
            partId: part.id,
            condition: kind === 'shop' ? 'new' : 'used',
            reason,
          }
  await insertChoice(tx, buildId, choice, today)
}

const blankChoice = {
  leadId: null,
  partId: null,
  shelfId: null,
  limit: null,
  condition: null,
  scope: 'core',
  reason: '',
} as const
