import { and, eq, isNull } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { noRate, rateTable } from '#core/money/rates'
import type { Queryable } from '../db/client'
import { buildRivals } from '../db/schema/scales'
import { builds } from '../db/schema/builds'
import { choices } from '../db/schema/machine'
import { exchangeRates } from '../db/schema/prices'
import { leads } from '../db/schema/leads'
import { rivals } from '../db/schema/rivals'

/**
 * Refuses (`no-rate`) a state in which a build could not be calculated: a chosen lead or rival in a currency without a
 * rate into the build's. Called at the end of each action's transaction, so that the action then leaves nothing.
 */
export async function assertCalculable(
  tx: Queryable,
  buildId: string,
  today: string,
  path: string,
): Promise<void> {
  const [build] = await tx.select({ currency: builds.currency }).from(builds).where(eq(builds.id, buildId))
  if (!build) return
  const [chosenLeads, chosenRivals, rates] = await Promise.all([
    tx
      .select({ name: leads.title, currency: leads.currency })
      .from(choices)
      .innerJoin(leads, eq(leads.id, choices.leadId))
      .where(and(eq(choices.buildId, buildId), isNull(choices.deletedAt))),
    tx
      .select({ name: rivals.name, currency: rivals.currency })
      .from(buildRivals)
      .innerJoin(rivals, eq(rivals.id, buildRivals.rivalId))
      .where(eq(buildRivals.buildId, buildId)),
    tx.select().from(exchangeRates),
  ])
  const table = rateTable(rates)
  const stray = [...chosenLeads, ...chosenRivals].find(
    ({ currency }) => table.find(today, currency, build.currency) === null,
  )
  if (stray)
    throw new CoreError(
      'no-rate',
      `${noRate(today, stray.currency, build.currency)}, which "${stray.name}" needs; open a library file with that rate first`,
      path,
    )
}
