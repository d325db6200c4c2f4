import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import type { agreeSchema, leadDaySchema, passSchema, reopenSchema } from '#shared/leads/schemas'
import type { Database, Queryable } from '#server/db/client'
import { act, type OpenAction } from '#server/db/action'
import { buildRow, rootIdOf } from '#server/context/findBuild'
import { useWorld } from '#server/readings/useWorld'
import { leads } from '#server/db/schema/leads'
import { NotFoundError } from '#server/errors/notFoundError'
import { voidAtSource, voidChoices } from '../ledger/voidChoices'

/** The life of a lead: agreed, passed on, gone, open again. What was bought came with its order. */

type LeadRow = typeof leads.$inferSelect

async function findLead(tx: Pick<Queryable, 'select'>, id: string): Promise<LeadRow> {
  const [lead] = await tx.select().from(leads).where(eq(leads.id, id))
  if (!lead || lead.deletedAt !== null) throw new NotFoundError('lead', id)
  return lead
}

/** The build that others are variants of, and whether a build is one of them. */
async function familyOf(db: Database, buildId: string) {
  const world = await useWorld(db)
  const rootOf = (id: string) => {
    const build = world.rows.builds.one('id', id)
    return build === undefined ? id : rootIdOf(world, build)
  }
  const { id, passed } = buildRow(world, rootOf(buildId))
  return { id, passed, isOf: (other: string) => rootOf(other) === id }
}

async function step(
  db: Database,
  id: string,
  day: string,
  { from, does, said }: { from: readonly LeadRow['state'][]; does: string; said: string },
  today: string,
  work: (action: OpenAction, lead: LeadRow) => Promise<void>,
): Promise<void> {
  const { title } = await findLead(db, id)
  const actionOf = { kind: 'lead', text: `${title}: ${said}`.slice(0, 200), day, buildId: null }
  await act(db, actionOf, today, async (action) => {
    const lead = await findLead(action.tx, id)
    if (!from.includes(lead.state))
      throw new CoreError('lead-not-possible', { title, state: lead.state, does }, 'id')
    await work(action, lead)
  })
}

/** Agreed with its seller: that amount is its price everywhere, until the day it holds. */
export function agree(
  db: Database,
  id: string,
  { day, amount, until }: InferType<typeof agreeSchema>,
  today: string,
): Promise<void> {
  return step(
    db,
    id,
    day,
    { from: ['open'], does: 'be agreed on', said: `agreed at ${amount}` },
    today,
    (action, lead) =>
      action.update('leads', id, {
        agreedAmount: parseDecimal(amount, lead.currency, 'amount'),
        agreedOn: day,
        agreedUntil: until,
      }),
  )
}

/** Not wanted by a build: choices of it and its variants are void, and other builds still see it. */
export function pass(
  db: Database,
  id: string,
  { day, reason, buildId }: InferType<typeof passSchema>,
  today: string,
): Promise<void> {
  return step(
    db,
    id,
    day,
    { from: buildId === null ? ['open'] : ['open', 'passed'], does: 'be passed on', said: 'passed on' },
    today,
    async (action) => {
      if (buildId === null) {
        await action.update('leads', id, { state: 'passed', passReason: reason })
        return voidChoices(action, id, 'passed')
      }
      const { id: root, passed, isOf } = await familyOf(db, buildId)
      await action.update('builds', root, { passed: { ...passed, [id]: reason } })
      await voidChoices(action, id, 'passed', '', isOf)
    },
  )
}

/** Gone at its source: choices of it are void. */
export function gone(
  db: Database,
  id: string,
  { day }: InferType<typeof leadDaySchema>,
  today: string,
): Promise<void> {
  return step(
    db,
    id,
    day,
    { from: ['open'], does: 'be marked as gone', said: 'gone' },
    today,
    async (action) => {
      await action.update('leads', id, { state: 'gone', vanishedOn: day })
      await voidChoices(action, id, 'gone')
    },
  )
}

/** Seen again, or wanted after all; void choices of it stay void. */
export function reopen(
  db: Database,
  id: string,
  { day, buildId }: InferType<typeof reopenSchema>,
  today: string,
): Promise<void> {
  const did = { does: 'be reopened', said: 'reopened' }
  return step(db, id, day, { ...did, from: ['open', 'gone', 'passed'] }, today, async (action, lead) => {
    if (lead.state !== 'open') await action.update('leads', id, { state: 'open', vanishedOn: null })
    const family = buildId === null ? null : await familyOf(db, buildId)
    if (family && id in family.passed) {
      const { [id]: _, ...passed } = family.passed
      await action.update('builds', family.id, { passed })
    } else if (lead.state === 'open')
      throw new CoreError('lead-not-possible', { title: lead.title, state: lead.state, does: did.does }, 'id')
  })
}

/** As polls see it: a listing that ended is gone, with its choices; the day it is seen again it is open. */
export async function goneAtSource(tx: Queryable, lead: LeadRow, day: string): Promise<void> {
  await tx
    .update(leads)
    .set({ vanishedOn: day, ...(lead.state === 'open' ? { state: 'gone' as const } : {}) })
    .where(eq(leads.id, lead.id))
  await voidAtSource(tx, lead.id, day)
}
