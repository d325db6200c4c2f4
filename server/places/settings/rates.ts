import { and, desc, eq, isNull } from 'drizzle-orm'
import type { InferType } from 'yup'
import Big from 'big.js'
import { CoreError } from '#core/errors/coreError'
import { assertCalculable } from '#server/context/assertCalculable'
import type { Database } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { exchangeRates } from '#server/db/schema/prices'
import type { rateKeySchema, rateSchema, RateView } from '#shared/settings/rates'

/** Places of a rate that is worked out as the other way round. */
const places = 8

export function readRates(db: Pick<Database, 'select'>): Promise<RateView[]> {
  return db
    .select()
    .from(exchangeRates)
    .orderBy(desc(exchangeRates.date), exchangeRates.from, exchangeRates.to)
}

/** Notes a rate of a day, and the other way round where that is wanted; a rate of the same day and pair is replaced. */
export async function setRate(
  db: Database,
  { date, from, to, rate, bothWays }: InferType<typeof rateSchema>,
  today: string,
): Promise<RateView[]> {
  if (from === to) throw new CoreError('same-currency', {}, 'to')
  if (date > today) throw new CoreError('future-date', { day: date }, 'date')
  const rows = [
    { date, from, to, rate },
    ...(bothWays ? [{ date, from: to, to: from, rate: new Big(1).div(rate).round(places).toString() }] : []),
  ]
  await db.transaction(async (tx) => {
    for (const row of rows)
      await tx
        .insert(exchangeRates)
        .values(row)
        .onConflictDoUpdate({
          target: [exchangeRates.date, exchangeRates.from, exchangeRates.to],
          set: { rate: row.rate },
        })
  })
  return readRates(db)
}

/** Forgets a rate; one that a build cannot be calculated without stays, and the refusal says for what. */
export async function removeRate(
  db: Database,
  { date, from, to }: InferType<typeof rateKeySchema>,
  today: string,
): Promise<RateView[]> {
  await db.transaction(async (tx) => {
    await tx
      .delete(exchangeRates)
      .where(and(eq(exchangeRates.date, date), eq(exchangeRates.from, from), eq(exchangeRates.to, to)))
    for (const { id } of await tx.select({ id: builds.id }).from(builds).where(isNull(builds.deletedAt)))
      await assertCalculable(tx, id, today, 'date')
  })
  return readRates(db)
}
