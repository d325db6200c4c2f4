import { and, eq, isNull } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { isTooCheap, tooCheapBelow } from '#core/supply/risk/tooCheap'
import { parseDecimal } from '#core/money/decimal'
import { rateTable } from '#core/money/rates'
import { partLabel } from '#core/parts/part'
import type { lookoutSchema } from '#shared/prices/schemas'
import type { LookoutHit } from '#shared/prices/views'
import type { Database, Queryable } from '#server/db/client'
import { leads } from '#server/db/schema/leads'
import { lookouts, lookoutSeen } from '#server/db/schema/prices'
import { parts } from '#server/db/schema/parts'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'
import { leadsValued } from '#server/context/valuedLeads'
import { readStreetPrice } from '#server/context/market'
import { marketOf, part } from '#server/context/marketReadings'
import { findBuild, type BuildRow } from '#server/context/findBuild'
import { reading, sameContent, sameMembers } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'
import type { World } from '#server/readings/world'

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
export async function lookoutHits(
  db: Pick<Queryable, 'select'>,
  today: string,
  buildId?: string,
): Promise<LookoutHit[]> {
  const world = await useWorld(db)
  const ids =
    buildId === undefined ? world.rows.builds.where('deletedAt', null).map(({ id }) => id) : [buildId]
  return ids.flatMap((id) => hitsOfBuild(world, id, today)).sort(newestFirst)
}

const newestFirst = (a: LookoutHit, b: LookoutHit) => (a.listedOn < b.listedOn ? 1 : -1)

/** The hits of the watches of one build. */
export const hitsOfBuild = reading(
  'hits of build',
  (world, buildId: string, today: string): readonly LookoutHit[] => {
    const build = world.rows.builds.one('id', buildId)
    if (!build || build.deletedAt !== null) return []
    return world.rows.lookouts
      .where('buildId', buildId)
      .filter(({ deletedAt }) => deletedAt === null)
      .flatMap((lookout) => hitsOf(world, lookout, build, today))
      .sort(newestFirst)
  },
  { same: sameContent },
)

/** Open leads that keep a part. */
const leadsKeeping = reading(
  'open leads keeping part',
  (world, partId: string): readonly string[] => [
    ...new Set(
      world.rows.leadThings
        .where('partId', partId)
        .filter(({ plan }) => plan === 'keep')
        .map(({ leadId }) => leadId)
        .filter((leadId) => {
          const lead = world.rows.leads.one('id', leadId)!
          return (
            lead.deletedAt === null &&
            lead.vanishedOn === null &&
            lead.state === 'open' &&
            lead.condition !== 'damaged'
          )
        }),
    ),
  ],
  { same: sameMembers, most: 20_000 },
)

function hitsOf(
  world: World,
  lookout: typeof lookouts.$inferSelect,
  build: BuildRow,
  today: string,
): LookoutHit[] {
  const market = marketOf(world)
  const known = part(world, lookout.partId)
  if (!known) return []
  const table = rateTable(market.rates)
  const seen = new Set(world.rows.lookoutSeen.where('lookoutId', lookout.id).map(({ leadId }) => leadId))
  const ids = leadsKeeping(world, known.id).filter(
    (id) =>
      !seen.has(id) && table.find(today, world.rows.leads.one('id', id)!.currency, build.currency) !== null,
  )
  return leadsValued(world, build, today, ids).flatMap(({ lead, sourceName, value }): LookoutHit[] => {
    if (lead.state === 'passed' || (lead.endsOn !== null && lead.endsOn < today)) return []
    const position = lead.things.findIndex((thing) => thing.partId === known.id && thing.plan === 'keep')
    const isSingle = lead.things.length === 1
    const cost =
      isSingle && lead.things[0]!.quantity === 1
        ? value.payNow
        : value.split.things[position]?.effectiveCost?.amount
    if (cost === undefined || cost > lookout.limit) return []
    const kept = () => readStreetPrice(market, known.id, today, build.currency).kept
    return [
      {
        lookoutId: lookout.id,
        leadId: lead.id,
        buildId: build.id,
        buildName: build.name,
        partName: partLabel(known),
        title: lead.title,
        source: sourceName,
        cost,
        limit: lookout.limit,
        currency: build.currency,
        listedOn: lead.listedOn,
        manner: lead.manner,
        tooCheap: isSingle && isTooCheap(value.ask, tooCheapBelow(kept(), market.assumptions.pricing)),
      },
    ]
  })
}
