import { eq, or } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { convertAmount, rateTable } from '#core/money/rates'
import type { BuildRow } from '#server/context/findBuild'
import { standingEntries } from '#server/context/standingEntries'
import type { Queryable } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { items, moves, trips } from '#server/db/schema/ledger'
import { choices } from '#server/db/schema/machine'
import { exchangeRates, lookouts } from '#server/db/schema/prices'

/**
 * What a build is still willing to pay moves with its currency, at the rate of the day. Where money was booked, the
 * currency is a fact: what was paid is never calculated again.
 *
 * @throws CoreError `booked-currency`, `no-rate`
 */
export async function moveCurrency(
  tx: Queryable,
  build: BuildRow,
  currency: string,
  today: string,
): Promise<void> {
  if (currency === build.currency) return
  if (await hasBookings(tx, build.id))
    throw new CoreError(
      'booked-currency',
      { name: build.name, currency: build.currency, currency2: currency },
      'currency',
    )
  const [hunts, drives, watched] = await Promise.all([
    tx.select().from(choices).where(eq(choices.buildId, build.id)),
    tx.select().from(trips).where(eq(trips.buildId, build.id)),
    tx.select().from(lookouts).where(eq(lookouts.buildId, build.id)),
  ])
  const own = build.selling?.own ?? null
  if (
    own === null &&
    hunts.every(({ limit }) => limit === null) &&
    drives.length === 0 &&
    watched.length === 0
  )
    return
  const table = rateTable(await tx.select().from(exchangeRates))
  const moved = (amount: number) =>
    convertAmount(amount, build.currency, currency, table.rateOn(today, build.currency, currency))
  for (const { id, limit } of hunts)
    if (limit !== null)
      await tx
        .update(choices)
        .set({ limit: moved(limit) })
        .where(eq(choices.id, id))
  if (build.selling && own !== null)
    await tx
      .update(builds)
      .set({ selling: { ...build.selling, own: moved(own) } })
      .where(eq(builds.id, build.id))
  for (const { id, fare } of drives)
    await tx
      .update(trips)
      .set({ fare: moved(fare) })
      .where(eq(trips.id, id))
  for (const { id, limit } of watched)
    await tx
      .update(lookouts)
      .set({ limit: moved(limit) })
      .where(eq(lookouts.id, id))
}

/** Entries, things paid for it or taken over: amounts that are kept in its currency and stay as they are. */
async function hasBookings(tx: Queryable, buildId: string): Promise<boolean> {
  const found = await Promise.all([
    standingEntries(tx, buildId),
    tx
      .select({ id: items.id })
      .from(items)
      .where(or(eq(items.payerId, buildId), eq(items.buildId, buildId)))
      .limit(1),
    tx
      .select({ id: moves.id })
      .from(moves)
      .where(or(eq(moves.fromBuildId, buildId), eq(moves.toBuildId, buildId)))
      .limit(1),
  ])
  return found.some((rows) => rows.length > 0)
}
