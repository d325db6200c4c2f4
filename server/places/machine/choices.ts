import { assertItemCan } from '#core/ledger/itemLife'
import { partLabel } from '#core/parts/part'
import { useMarket } from '#server/context/market'
import { huntPrice } from '#server/context/readChoice'
import { findBuild, type BuildRow } from '#server/context/findBuild'
import { findItem, moveItem } from '../ledger/itemSteps'
import { and, eq, isNull, max } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import { assertCalculable } from '#server/context/assertCalculable'
import type { Database, Queryable } from '#server/db/client'
import { newId } from '#server/db/ids'
import { builds } from '#server/db/schema/builds'
import { leadThings, leads } from '#server/db/schema/leads'
import { choices } from '#server/db/schema/machine'
import { parts } from '#server/db/schema/parts'
import { items } from '#server/db/schema/ledger'
import { actIn } from '#server/db/action'
import { NotFoundError } from '#server/errors/notFoundError'
import type { ChoiceInput } from '#shared/machine/schemas'

export async function addChoice(
  db: Database,
  buildId: string,
  input: ChoiceInput,
  today: string,
): Promise<string> {
  await refuseUnpriced(db, buildId, input, today)
  return db.transaction(async (tx) => {
    const id = await insertChoice(tx, buildId, input, today)
    await assertCalculable(tx, buildId, today, 'leadId')
    return id
  })
}

/** A part of which no price is known comes into a build only with a figure of the builder's: it never costs nothing. */
async function refuseUnpriced(
  db: Database,
  buildId: string,
  input: ChoiceInput,
  today: string,
): Promise<void> {
  if (input.kind !== 'hunt' || input.limit !== null) return
  const [build, market] = await Promise.all([findBuild(db, buildId), useMarket(db)])
  const part = market.library.find((each) => each.id === input.partId)
  if (part && huntPrice(market, build, part, today, input.condition ?? null) === null)
    throw new CoreError('no-price', { part: partLabel(part) }, 'limit')
}

/**
 * Notes what is meant to fill a role. A thing of mine is not meant to: it moves into the build at once, and only in a
 * variant, which holds no things, is it a choice.
 */
export async function insertChoice(
  tx: Queryable,
  buildId: string,
  input: ChoiceInput,
  today: string,
): Promise<string> {
  const build = await findBuild(tx, buildId)
  if (build.state === 'sold' || build.state === 'apart')
    throw new CoreError('over-for-choosing', { name: build.name, state: build.state }, 'kind')
  await assertTargetOfChoice(tx, input)
  if (input.kind === 'owned' && build.variantOf === null)
    return useItem(tx, build, input.shelfId!, input.scope, today)
  await refuseTwice(tx, buildId, input)
  const [last] = await tx
    .select({ position: max(choices.position) })
    .from(choices)
    .where(eq(choices.buildId, buildId))
  const id = newId('choice')
  await tx.insert(choices).values({
    id,
    buildId,
    position: (last?.position ?? -1) + 1,
    kind: input.kind === 'owned' ? 'item' : input.kind,
    scope: input.scope,
    reason: input.reason,
    leadId: input.kind === 'lead' ? input.leadId : null,
    partId: input.kind === 'hunt' ? input.partId : null,
    itemId: input.kind === 'owned' ? input.shelfId : null,
    condition: input.kind === 'hunt' ? (input.condition ?? null) : null,
    limit: input.limit === null ? null : parseDecimal(input.limit, build.currency, 'limit'),
  })
  return id
}

/** A thing of mine goes into the build; one that is in another is moved from there only on purpose. */
async function useItem(
  tx: Queryable,
  build: BuildRow,
  itemId: string,
  scope: ChoiceInput['scope'],
  today: string,
): Promise<string> {
  const { item, name } = await findItem(tx, itemId)
  if (item.place === 'build' && item.buildId === build.id)
    throw new CoreError('already-chosen', {}, 'shelfId')
  if (item.place === 'build') throw new CoreError('in-another-build', { name }, 'shelfId')
  assertItemCan('move', item, name, 'shelfId')
  await actIn(
    tx,
    { kind: 'move', text: `${name} added to ${build.name}`, day: today, buildId: build.id },
    today,
    (action) => moveItem(action, item, build.id, scope),
  )
  return itemId
}

async function assertTargetOfChoice(
  tx: Queryable,
  { kind, leadId, partId, shelfId }: ChoiceInput,
): Promise<void> {
  const found =
    kind === 'lead'
      ? await tx
          .select({ id: leads.id })
          .from(leads)
          .where(and(eq(leads.id, leadId!), isNull(leads.deletedAt), eq(leads.state, 'open')))
      : kind === 'hunt'
        ? await tx.select({ id: parts.id }).from(parts).where(eq(parts.id, partId!))
        : await tx.select({ id: items.id }).from(items).where(eq(items.id, shelfId!))
  if (found.length === 0)
    throw new CoreError(
      'choice-gone',
      { id: leadId ?? partId ?? shelfId! },
      kind === 'lead' ? 'leadId' : kind === 'hunt' ? 'partId' : 'shelfId',
    )
  if (kind === 'lead') {
    const kept = await tx
      .select()
      .from(leadThings)
      .where(and(eq(leadThings.leadId, leadId!), eq(leadThings.plan, 'keep')))
    if (kept.length === 0) throw new CoreError('nothing-kept', {}, 'leadId')
  }
}

/** A lead or an owned thing is one thing: it is in a build once. Hunts may be as many as are wanted. */
async function refuseTwice(
  tx: Queryable,
  buildId: string,
  { kind, leadId, shelfId }: ChoiceInput,
): Promise<void> {
  if (kind === 'hunt') return
  const [twin] = await tx
    .select({ id: choices.id })
    .from(choices)
    .where(
      and(
        eq(choices.buildId, buildId),
        isNull(choices.deletedAt),
        kind === 'lead' ? eq(choices.leadId, leadId!) : eq(choices.itemId, shelfId!),
        isNull(choices.voidBecause),
      ),
    )
  if (twin) throw new CoreError('already-chosen', {}, kind === 'lead' ? 'leadId' : 'shelfId')
}

/** Changes a choice; returns the build it belongs to. */
export async function changeChoice(
  db: Database,
  choiceId: string,
  change: {
    scope?: ChoiceInput['scope']
    reason?: string
    limit?: string | null
    condition?: 'used' | 'new' | null
    leftOut?: string[]
    deletedAt?: string | null
  },
  today: string,
): Promise<string> {
  const [row] = await db
    .select({ buildId: choices.buildId, currency: builds.currency })
    .from(choices)
    .innerJoin(builds, eq(builds.id, choices.buildId))
    .where(and(eq(choices.id, choiceId), isNull(builds.deletedAt)))
  if (!row) throw new NotFoundError('choice', choiceId)
  const { limit, ...rest } = change
  const set = {
    ...rest,
    ...(limit === undefined
      ? {}
      : { limit: limit === null ? null : parseDecimal(limit, row.currency, 'limit') }),
  }
  if (Object.keys(set).length > 0) {
    await db.transaction(async (tx) => {
      await tx.update(choices).set(set).where(eq(choices.id, choiceId))
      await assertCalculable(tx, row.buildId, today, 'leadId')
    })
  }
  return row.buildId
}
