import { and, eq, isNull } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { wantedFacts, type Answer } from '#core/reading/listings/completeness'
import { faultSigns } from '#core/supply/risk/faultRisk'
import type { leadPatchSchema } from '#shared/leads/schemas'
import type { Database, Queryable } from '#server/db/client'
import { leads } from '#server/db/schema/leads'
import { trips } from '#server/db/schema/ledger'
import { NotFoundError } from '#server/errors/notFoundError'

/** Deletes or brings back a lead; notes an answer, a sign, a question asked, or the trip that fetches it. */
export async function patchLead(
  db: Database,
  id: string,
  change: InferType<typeof leadPatchSchema>,
  today: string,
  now: string,
): Promise<void> {
  await db.transaction((tx) => patchLeadIn(tx, id, change, today, now))
}

/** The same as a part of a larger transaction. */
export async function patchLeadIn(
  tx: Queryable,
  id: string,
  { deleted, answers = {}, signs = {}, ...change }: InferType<typeof leadPatchSchema>,
  today: string,
  now: string,
): Promise<void> {
  const [lead] = await tx.select().from(leads).where(eq(leads.id, id))
  if (!lead) throw new NotFoundError('lead', id)
  if (change.askedOn && change.askedOn > today)
    throw new CoreError('future-date', { day: change.askedOn }, 'askedOn')
  const unknown = Object.keys(answers).find((key) => !wantedFacts.some((wanted) => wanted.key === key))
  if (unknown !== undefined) throw new CoreError('unknown-fact', { unknown }, 'answers')
  const strange = Object.keys(signs).find((key) => !(faultSigns as readonly string[]).includes(key))
  if (strange !== undefined) throw new CoreError('unknown-sign', { strange }, 'signs')
  if (change.tripId) {
    const [trip] = await tx
      .select({ id: trips.id })
      .from(trips)
      .where(and(eq(trips.id, change.tripId), isNull(trips.deletedAt)))
    if (!trip) throw new CoreError('unknown-trip', { tripId: change.tripId }, 'tripId')
  }
  const set = {
    ...Object.fromEntries(Object.entries(change).filter(([, value]) => value !== undefined)),
    ...(deleted === undefined ? {} : { deletedAt: deleted ? now : null }),
    answers: merged<Answer>(lead.answers, answers),
    signs: merged<boolean>(lead.signs, signs),
  }
  await tx.update(leads).set(set).where(eq(leads.id, id))
}

/** What was kept with the changes in it; null takes an entry out. */
function merged<T>(
  kept: Readonly<Partial<Record<string, T>>>,
  changes: Readonly<Record<string, T | null>>,
): Record<string, T> {
  return Object.fromEntries(
    Object.entries({ ...kept, ...changes }).filter(
      (entry): entry is [string, T] => entry[1] !== null && entry[1] !== undefined,
    ),
  )
}
