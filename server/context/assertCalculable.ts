import { and, eq, isNull, or } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { rateTable } from '#core/money/rates'
import type { Queryable } from '../db/client'
import { useWorld } from '../readings/useWorld'
import { rootIdOf } from './findBuild'
import { buildRivals } from '../db/schema/scales'
import { builds } from '../db/schema/builds'
import { items, orderLines, orders } from '../db/schema/ledger'
import { choices } from '../db/schema/machine'
import { parts } from '../db/schema/parts'
import { exchangeRates } from '../db/schema/prices'
import { leads } from '../db/schema/leads'
import { rivals } from '../db/schema/rivals'

/**
 * Refuses (`no-rate`) a state in which a build could not be calculated: a chosen lead or rival, a
 * thing or a payment in a currency without a rate into the build's. Called at the end of each action's transaction, so
 * that the action then leaves nothing.
 */
export async function assertCalculable(
  tx: Queryable,
  buildId: string,
  today: string,
  path: string,
): Promise<void> {
  const [build] = await tx
    .select({ currency: builds.currency, variantOf: builds.variantOf })
    .from(builds)
    .where(eq(builds.id, buildId))
  if (!build) return
  const rootId = rootIdOf(await useWorld(tx), { id: buildId, ...build })
  const [chosenLeads, chosenRivals, things, payments, roots, rates] = await Promise.all([
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
    tx
      .select({ name: parts.name, currency: items.currency })
      .from(items)
      .innerJoin(parts, eq(parts.id, items.partId))
      .where(or(eq(items.buildId, rootId), eq(items.payerId, rootId))),
    tx
      .select({ name: orderLines.label, currency: orders.currency })
      .from(orderLines)
      .innerJoin(orders, eq(orders.id, orderLines.orderId))
      .where(eq(orderLines.buildId, rootId)),
    tx.select({ name: builds.name, currency: builds.currency }).from(builds).where(eq(builds.id, rootId)),
    tx.select().from(exchangeRates),
  ])
  const table = rateTable(rates)
  const stray = [...chosenLeads, ...chosenRivals, ...things, ...payments, ...roots].find(
    ({ currency }) => table.find(today, currency, build.currency) === null,
  )
  if (stray)
    throw new CoreError(
      'no-rate',
      { from: stray.currency, to: build.currency, on: today, name: stray.name },
      path,
    )
}
