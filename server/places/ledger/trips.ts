import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import { pickupCost } from '#core/supply/landed/landedCost'
import type { driveSchema, tripSchema } from '#shared/ledger/schemas'
import type { Database, Queryable } from '#server/db/client'
import { act, type OpenAction } from '#server/db/action'
import { leads } from '#server/db/schema/leads'
import { trips } from '#server/db/schema/ledger'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'
import { useWorld } from '#server/readings/useWorld'
import { findBuild, rootIdOf } from '#server/context/findBuild'
import { writeEntry } from './ledgerEntries'

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
    buildId: rootIdOf(await useWorld(db), build),
    name,
    km,
    hours: hours ?? 0,
    fare: parseDecimal(fare ?? '0', build.currency, 'fare'),
  })
  return id
}

async function findTrip(tx: Pick<Queryable, 'select'>, id: string) {
  const [trip] = await tx.select().from(trips).where(eq(trips.id, id))
  if (!trip) throw new NotFoundError('trip', id)
  return trip
}

/** Driven: its fare and its kilometres are booked once, its hours are kept. */
export async function driveTrip(
  db: Database,
  id: string,
  { day }: InferType<typeof driveSchema>,
  today: string,
): Promise<string> {
  const { buildId, name } = await findTrip(db, id)
  await act(db, { kind: 'drive', text: `trip driven: ${name}`, day, buildId }, today, async (action) => {
    const trip = await findTrip(action.tx, id)
    if (trip.drivenOn !== null || trip.deletedAt !== null) throw new CoreError('trip-over', { name }, 'id')
    await driven(action, trip, today)
  })
  return buildId
}

/** Its entries, within an action. */
export async function driven(
  action: OpenAction,
  trip: typeof trips.$inferSelect,
  today: string,
): Promise<void> {
  const { id, buildId, name } = trip
  const { houseRules } = await findBuild(action.tx, buildId)
  const cash = pickupCost({
    km: trip.km,
    perKm: houseRules.perKm ?? 0,
    fare: trip.fare,
    hours: 0,
    perHour: 0,
  })
  const entry = { buildId, day: action.day, text: name, actionId: action.id }
  if (cash > 0) await writeEntry(action.tx, { ...entry, kind: 'travel', cash: 0 - cash }, today)
  if (trip.hours > 0)
    await writeEntry(action.tx, { ...entry, kind: 'hours', cash: 0, hours: trip.hours }, today)
  await action.update('trips', id, { drivenOn: action.day })
}

/** Gives a trip up; what was on it is sent again, as its source has it. */
export async function giveUpTrip(db: Database, id: string, now: string): Promise<void> {
  await db.transaction(async (tx) => {
    const trip = await findTrip(tx, id)
    if (trip.drivenOn !== null) throw new CoreError('already-driven', {}, 'id')
    await tx.update(trips).set({ deletedAt: now }).where(eq(trips.id, id))
    await tx.update(leads).set({ tripId: null }).where(eq(leads.tripId, id))
  })
}
