import { and, eq, inArray, isNull } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { isTooCheap, tooCheapBelow } from '#core/supply/risk/tooCheap'
import { parseDecimal } from '#core/money/decimal'
import { rateTable } from '#core/money/rates'
import { partLabel } from '#core/parts/part'
import type { lookoutSchema } from '#shared/prices/schemas'
import type { LookoutHit } from '#shared/prices/views'
import type { Database } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { leads, leadThings } from '#server/db/schema/leads'
import { lookouts, lookoutSeen } from '#server/db/schema/prices'
import { parts } from '#server/db/schema/parts'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'
import { valuedLeads } from '#server/context/valuedLeads'
import { readStreetPrice, useMarket } from '#server/context/market'
import { findBuild } from '#server/context/findBuild'

/** Sets the pay-up-to price of a part in a build; another one of the same part is replaced. */
export async function setLookout(
  db: Database,
  buildId: string,
  { partId, limit }: InferType<typeof lookoutSchema>,
  today: string,
): Promise<string> {
  const build = await findBuild(db, buildId)
  const [part] = await db.select({ id: parts.id }).from(parts).where(eq(parts.id, partId))
  if (!part) throw new CoreError('unknown-part', { id: partId }, 'partId')
  const amount = parseDecimal(limit, build.currency, 'limit')
  if (amount <= 0) throw new CoreError('bad-limit', {}, 'limit')
  const id = newId(partId)
  await db.transaction(async (tx) => {
    await tx
      .update(lookouts)
      .set({ deletedAt: today })
      .where(and(eq(lookouts.buildId, buildId), eq(lookouts.partId, partId), isNull(lookouts.deletedAt)))
    await tx.insert(lookouts).values({ id, buildId, partId, limit: amount, createdAt: today })
  })
  return id
}

export async function setLookoutDeleted(db: Database, id: string, deletedAt: string | null): Promise<void> {
  const { rowsAffected } = await db.update(lookouts).set({ deletedAt }).where(eq(lookouts.id, id))
  if (rowsAffected === 0) throw new NotFoundError('watch', id)
}

/** Notes that the builder has seen to a hit. */
export async function seeHit(db: Database, lookoutId: string, leadId: string, today: string): Promise<void> {
  const [lookout] = await db.select({ id: lookouts.id }).from(lookouts).where(eq(lookouts.id, lookoutId))
  const [lead] = await db.select({ id: leads.id }).from(leads).where(eq(leads.id, leadId))
  if (!lookout || !lead)
    throw lookout ? new NotFoundError('lead', leadId) : new NotFoundError('watch', lookoutId)
  await db.insert(lookoutSeen).values({ lookoutId, leadId, seenOn: today }).onConflictDoNothing()
}

/**
 * What came in under its limit and has not been seen to: open leads that still stand and keep the part, whose landed
 * cost (of a lot: the part's share after selling on the rest) is at or below the limit. Damaged things never hit.
 */
export async function lookoutHits(db: Database, today: string, buildId?: string): Promise<LookoutHit[]> {
  const rows = await db
    .select({ lookout: lookouts, build: builds })
    .from(lookouts)
    .innerJoin(builds, eq(builds.id, lookouts.buildId))
    .where(
      and(
        isNull(lookouts.deletedAt),
        isNull(builds.deletedAt),
        ...(buildId === undefined ? [] : [eq(lookouts.buildId, buildId)]),
      ),
    )
  if (rows.length === 0) return []
  const market = await useMarket(db)
  const table = rateTable(market.rates)
  const seen = new Set((await db.select().from(lookoutSeen)).map((row) => `${row.lookoutId} ${row.leadId}`))
  const tied = await db
    .selectDistinct({
      id: leads.id,
      partId: leadThings.partId,
      currency: leads.currency,
      condition: leads.condition,
    })
    .from(leads)
    .innerJoin(leadThings, eq(leadThings.leadId, leads.id))
    .where(
      and(
        isNull(leads.deletedAt),
        isNull(leads.vanishedOn),
        eq(leads.state, 'open'),
        eq(leadThings.plan, 'keep'),
        inArray(
          leadThings.partId,
          rows.map(({ lookout }) => lookout.partId),
        ),
      ),
    )
  const hits: LookoutHit[] = []
  for (const { lookout, build } of rows) {
    const part = market.library.find((each) => each.id === lookout.partId)
    const ids = tied
      .filter(
        (row) =>
          row.partId === lookout.partId &&
          row.condition !== 'damaged' &&
          !seen.has(`${lookout.id} ${row.id}`) &&
          table.find(today, row.currency, build.currency) !== null,
      )
      .map((row) => row.id)
    if (!part) continue
    for (const { lead, sourceName, value } of await valuedLeads(db, market, build, today, ids)) {
      if (lead.endsOn !== null && lead.endsOn < today) continue
      const position = lead.things.findIndex((thing) => thing.partId === part.id && thing.plan === 'keep')
      const cost =
        lead.things.length === 1 && lead.things[0]!.quantity === 1
          ? value.payNow
          : value.split.things[position]?.effectiveCost?.amount
      if (cost === undefined || cost > lookout.limit) continue
      hits.push({
        lookoutId: lookout.id,
        leadId: lead.id,
        buildId: build.id,
        buildName: build.name,
        partName: partLabel(part),
        title: lead.title,
        source: sourceName,
        cost,
        limit: lookout.limit,
        currency: build.currency,
        listedOn: lead.listedOn,
        manner: lead.manner,
        tooCheap:
          lead.things.length === 1 &&
          isTooCheap(
            value.ask,
            tooCheapBelow(
              readStreetPrice(market, part.id, today, build.currency).kept,
              market.assumptions.pricing,
            ),
          ),
      })
    }
  }
  return hits.sort((a, b) => (a.listedOn < b.listedOn ? 1 : -1))
}
