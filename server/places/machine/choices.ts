import { findBuild } from '#server/context/findBuild'
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
import { shelf } from '#server/db/schema/shelf'
import { NotFoundError } from '#server/errors/notFoundError'
import type { ChoiceInput } from '#shared/machine/schemas'

export async function addChoice(
  db: Database,
  buildId: string,
  input: ChoiceInput,
  today: string,
): Promise<string> {
  return db.transaction(async (tx) => {
    const id = await insertChoice(tx, buildId, input)
    await assertCalculable(tx, buildId, today, 'leadId')
    return id
  })
}

export async function insertChoice(tx: Queryable, buildId: string, input: ChoiceInput): Promise<string> {
  const build = await findBuild(tx, buildId)
  await assertTargetOfChoice(tx, input)
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
    kind: input.kind,
    scope: input.scope,
    reason: input.reason,
    leadId: input.kind === 'lead' ? input.leadId : null,
    partId: input.kind === 'hunt' ? input.partId : null,
    shelfId: input.kind === 'owned' ? input.shelfId : null,
    limit: input.limit === null ? null : parseDecimal(input.limit, build.currency, 'limit'),
  })
  return id
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
          .where(and(eq(leads.id, leadId!), isNull(leads.deletedAt)))
      : kind === 'hunt'
        ? await tx.select({ id: parts.id }).from(parts).where(eq(parts.id, partId!))
        : await tx
            .select({ id: shelf.id })
            .from(shelf)
            .where(and(eq(shelf.id, shelfId!), isNull(shelf.deletedAt)))
  if (found.length === 0)
    throw new CoreError(
      'unknown-choice',
      `what is chosen is not there (${leadId ?? partId ?? shelfId})`,
      kind === 'lead' ? 'leadId' : kind === 'hunt' ? 'partId' : 'shelfId',
    )
  if (kind === 'lead') {
    const kept = await tx
      .select()
      .from(leadThings)
      .where(and(eq(leadThings.leadId, leadId!), eq(leadThings.plan, 'keep')))
    if (kept.length === 0)
      throw new CoreError('nothing-kept', 'nothing of this lead is kept, so it fills no role', 'leadId')
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
        kind === 'lead' ? eq(choices.leadId, leadId!) : eq(choices.shelfId, shelfId!),
      ),
    )
  if (twin)
    throw new CoreError(
      'already-chosen',
      'that is in the build already',
      kind === 'lead' ? 'leadId' : 'shelfId',
    )
}

/** Changes a choice; returns the build it belongs to. */
export async function changeChoice(
  db: Database,
  choiceId: string,
  change: {
    scope?: ChoiceInput['scope']
    reason?: string
    limit?: string | null
    paidOn?: string | null
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
  if (!row) throw new NotFoundError(`there is no choice "${choiceId}"`)
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
