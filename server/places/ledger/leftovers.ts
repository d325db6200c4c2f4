import { and, eq, isNull } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import { partLabel } from '#core/parts/part'
import type { saleSchema } from '#shared/shelf/schemas'
import type { Database, Queryable } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { choices } from '#server/db/schema/machine'
import { parts } from '#server/db/schema/parts'
import { shelf } from '#server/db/schema/shelf'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'
import type { ValuedLead } from '#server/context/valuedLeads'
import { writeEntry } from './ledgerEntries'

/** Things of a purchase that are not kept go to the shelf, at what they take off the cost of what is: their net resale. */
export async function shelveLeftovers(
  tx: Queryable,
  choiceId: string,
  { lead, value }: ValuedLead,
  currency: string,
): Promise<void> {
  for (const [index, thing] of lead.things.entries()) {
    if (thing.plan !== 'resell') continue
    // the split calculates all pieces of a thing together: odd cents go to the first
    const basis = value.split.things[index]!.netResale.amount
    for (let piece = 0; piece < thing.quantity; piece += 1) {
      const cost = Math.floor(basis / thing.quantity) + (piece < basis % thing.quantity ? 1 : 0)
      await tx.insert(shelf).values({
        id: newId(thing.partId),
        partId: thing.partId,
        condition: lead.condition,
        cost,
        currency,
        note: `left over from ${lead.title}`.slice(0, 300),
        fromChoiceId: choiceId,
      })
    }
  }
}

/** Takes a purchase's leftovers off the shelf again; what is sold stays sold. */
export async function unshelveLeftovers(tx: Queryable, choiceId: string, now: string): Promise<void> {
  await tx
    .update(shelf)
    .set({ deletedAt: now })
    .where(and(eq(shelf.fromChoiceId, choiceId), isNull(shelf.soldOn), isNull(shelf.deletedAt)))
}

/** Sells a thing from the shelf: the money, and the fee on it, stand in the ledger of a build. */
export async function sellFromShelf(
  db: Database,
  shelfId: string,
  { day, amount, fee, buildId }: InferType<typeof saleSchema>,
  today: string,
): Promise<void> {
  if (day > today) throw new CoreError('bad-date', `${day} is in the future`, 'day')
  await db.transaction(async (tx) => {
    const [row] = await tx
      .select({ thing: shelf, part: parts })
      .from(shelf)
      .innerJoin(parts, eq(parts.id, shelf.partId))
      .where(and(eq(shelf.id, shelfId), isNull(shelf.deletedAt)))
    if (!row) throw new NotFoundError(`there is nothing "${shelfId}" on the shelf`)
    if (row.thing.soldOn !== null) throw new CoreError('sold', `this was sold on ${row.thing.soldOn}`, 'day')
    const [build] = await tx
      .select()
      .from(builds)
      .where(and(eq(builds.id, buildId), isNull(builds.deletedAt)))
    if (!build) throw new CoreError('unknown-build', `there is no build "${buildId}"`, 'buildId')
    const [used] = await tx
      .select({ name: builds.name })
      .from(choices)
      .innerJoin(builds, eq(builds.id, choices.buildId))
      .where(and(eq(choices.shelfId, shelfId), isNull(choices.deletedAt), isNull(builds.deletedAt)))
    if (used)
      throw new CoreError('in-use', `it is built into ${used.name}; take it out there first`, 'buildId')
    const cash = parseDecimal(amount, build.currency, 'amount')
    const charged = parseDecimal(fee ?? '0', build.currency, 'fee')
    if (cash <= 0) throw new CoreError('bad-amount', 'write what it sold for', 'amount')
    const text = `${partLabel(row.part)}, from the shelf`
    await tx.update(shelf).set({ soldOn: day }).where(eq(shelf.id, shelfId))
    await writeEntry(tx, { buildId, day, kind: 'sold', cash, text }, today)
    if (charged > 0)
      await writeEntry(
        tx,
        { buildId, day, kind: 'fee', cash: 0 - charged, text: `fee on the sale of ${text}` },
        today,
      )
  })
}
