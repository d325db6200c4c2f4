import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { parseDecimal } from '#core/money/decimal'
import type { tripSchema } from '#shared/ledger/schemas'
import type { Database } from '#server/db/client'
import { leads } from '#server/db/schema/leads'
import { trips } from '#server/db/schema/ledger'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'
import { findBuild } from '#server/context/findBuild'

/** Plans a drive to fetch things; leads are put on it one by one. */
export async function createTrip(
  db: Database,
  buildId: string,
  { name, km, fare, hours }: InferType<typeof tripSchema>,
): Promise<string> {
  const build = await findBuild(db, buildId)
  const id = newId(name)
  await db.insert(trips).values({
    id,
    buildId,
    name,
    km,
    hours: hours ?? 0,
    fare: parseDecimal(fare ?? '0', build.currency, 'fare'),
  })
  return id
}

/** Gives a trip up; what was on it is sent again, as its source has it. */
export async function giveUpTrip(db: Database, id: string, now: string): Promise<void> {
  await db.transaction(async (tx) => {
    const { rowsAffected } = await tx.update(trips).set({ deletedAt: now }).where(eq(trips.id, id))
    if (rowsAffected === 0) throw new NotFoundError(`there is no trip "${id}"`)
    await tx.update(leads).set({ tripId: null }).where(eq(leads.tripId, id))
  })
}
