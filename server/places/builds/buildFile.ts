import { and, eq, inArray } from 'drizzle-orm'
import { toDecimal } from '#core/money/decimal'
import type { BuildFile } from '#shared/builds/buildFile'
import type { LibraryFile } from '#shared/parts/libraryFile'
import type { SourceInput } from '#shared/sources/schemas'
import type { Database, Queryable } from '#server/db/client'
import { newId } from '#server/db/ids'
import { ownedItem } from '../shelf/shelf'
import { buildRivals } from '#server/db/schema/scales'
import { builds } from '#server/db/schema/builds'
import { exchangeRates } from '#server/db/schema/prices'
import { leads } from '#server/db/schema/leads'
import { parts } from '#server/db/schema/parts'
import { rivalRates, rivals } from '#server/db/schema/rivals'
import { items, orderLines } from '#server/db/schema/ledger'
import { sources } from '#server/db/schema/sources'
import { briefOf } from '../brief/brief'
import { insertBuild } from './builds'
import { carryOutWithin } from '#server/whatif/carryOut'
import { changeOf } from '../machine/choices'
import { choiceRowsOf } from '#server/context/choicesOf'
import { assertCalculable } from '#server/context/assertCalculable'
import { leadInput } from '../leads/leads'
import { insertLibrary } from '../parts/importLibrary'
import { rivalInput } from '../rivals/rivalRow'
import { sellingInput, sellingRow } from '../ledger/selling'
import { exportPurchases, importPurchases } from '../ledger/purchaseFile'
import { loadWorkloads } from '#server/context/workloads'
import { rootIdOf } from '#server/context/findBuild'
import { useWorld } from '#server/readings/useWorld'

/** A build with everything it rests on, so that it can be opened on an empty database. */
export async function exportBuild(db: Database, buildId: string): Promise<BuildFile> {
  // what the builder wrote for themselves stays here
  const brief = { ...(await briefOf(db, buildId)), privateNote: '' }
  const [build] = await db.select().from(builds).where(eq(builds.id, buildId))
  // a variant goes out whole
  const rows = (await choiceRowsOf(db, build!)).filter((row) => row.voidBecause === null)
  const rootId = rootIdOf(await useWorld(db), build!)
  const bought = await db
    .select({ leadId: orderLines.leadId })
    .from(orderLines)
    .where(eq(orderLines.buildId, rootId))
  const rivalIds = (await db.select().from(buildRivals).where(eq(buildRivals.buildId, buildId))).map(
    (row) => row.rivalId,
  )
  const leadInputs = await Promise.all(
    [...new Set([...rows, ...bought].flatMap((row) => row.leadId ?? []))].map((id) => leadInput(db, id)),
  )
  const shelfIds = rows.flatMap((row) => row.itemId ?? [])
  const shelfRows =
    shelfIds.length === 0 ? [] : await db.select().from(items).where(inArray(items.id, shelfIds))
  const rivalInputs = await exportRivals(db, rivalIds)
  const purchases = await exportPurchases(
    db,
    rootId,
    leadInputs.map((lead) => lead.id),
  )
  const partIds = new Set([
    ...purchases.items.flatMap((item) => [
      item.partId,
      ...(item.listedPartId === null ? [] : [item.listedPartId]),
    ]),
    ...leadInputs.flatMap((lead) => lead.rebate?.tradedPartId ?? []),
    ...rows.flatMap((row) => row.partId ?? []),
    ...leadInputs.flatMap((lead) => lead.things.map((thing) => thing.partId)),
    ...shelfRows.map((row) => row.partId),
    ...rivalInputs.flatMap((rival) =>
      [rival.cpuId, rival.graphicsId].filter((id): id is string => id !== null),
    ),
  ])
  const workloadIds = new Set([
    ...brief.targets.map((target) => target.workloadId),
    ...rivalInputs.flatMap((rival) => rival.rates.map((rate) => rate.workloadId)),
  ])
  const sourceIds = [...new Set(leadInputs.map((lead) => lead.sourceId))]
  const library: LibraryFile = {
    format: 'tarvin-library',
    version: '1',
    sources:
      sourceIds.length === 0
        ? []
        : (await db.select().from(sources).where(inArray(sources.id, sourceIds))).map(sourceInput),
    parts:
      partIds.size === 0
        ? []
        : (
            await db
              .select()
              .from(parts)
              .where(inArray(parts.id, [...partIds]))
          ).map(({ id, role, make, name, facts, open }) => ({
            id,
            role,
            make,
            name,
            facts: facts as never,
            open,
          })),
    workloads: (await loadWorkloads(db))
      .filter((workload) => workloadIds.has(workload.id))
      .map(({ frameCap = null, systemMemoryGb = null, ...game }) => ({
        ...game,
        frameCap,
        systemMemoryGb,
      })) as never,
    rivals: rivalInputs,
    rates: await db.select().from(exchangeRates),
    shelf: shelfRows.map(({ id, partId, condition, cost, currency, note }) => ({
      id,
      partId,
      condition,
      cost: toDecimal(cost, currency),
      currency,
      note,
    })),
    runs: [],
    tasks: [],
    taskResults: [],
    leads: leadInputs,
  }
  return {
    format: 'tarvin-build',
    version: '1',
    brief,
    selling: sellingInput(build!.selling, brief.currency),
    choices: rows.map(({ kind, leadId, partId, itemId, limit, condition, scope, reason }) => ({
      kind: kind === 'item' ? 'owned' : kind,
      leadId,
      partId,
      shelfId: itemId,
      limit: limit === null ? null : toDecimal(limit, brief.currency),
      condition,
      scope,
      reason,
      paidOn: null,
    })) as BuildFile['choices'],
    rivals: rivalIds,
    ...purchases,
    library,
  }
}

function sourceInput({
  shippingKind,
  shippingAmount,
  shippingFreeFrom,
  importFreeUnder,
  ...source
}: typeof sources.$inferSelect): SourceInput {
  return {
    ...source,
    importFreeUnder: toDecimal(importFreeUnder, source.currency),
    shipping: {
      kind: shippingKind,
      amount: toDecimal(shippingAmount, source.currency),
      freeFrom: shippingFreeFrom === null ? null : toDecimal(shippingFreeFrom, source.currency),
    },
  }
}

async function exportRivals(db: Database, ids: readonly string[]): Promise<LibraryFile['rivals']> {
  if (ids.length === 0) return []
  const rows = await db
    .select()
    .from(rivals)
    .where(inArray(rivals.id, [...ids]))
  const rates = await db
    .select()
    .from(rivalRates)
    .where(inArray(rivalRates.rivalId, [...ids]))
  return rows.map((row) => rivalInput(row, rates))
}

/** Opens a build file: its library first (what is there already stays), then the build under a new identity. */
export async function importBuild(db: Database, file: BuildFile, today: string): Promise<string> {
  const buildId = await db.transaction(async (tx) => {
    await insertLibrary(tx, file.library)
    const id = await insertBuild(tx, file.brief, today)
    if (file.selling !== null)
      await tx
        .update(builds)
        .set({ selling: sellingRow(file.selling, file.brief.currency) })
        .where(eq(builds.id, id))
    for (const choice of file.choices) {
      // what was paid comes with its order and its things
      if (choice.paidOn && choice.kind !== 'owned') continue
      const leadId = choice.leadId === null ? null : await localLead(tx, file, choice.leadId)
      if (choice.kind === 'owned') await useOwned(tx, id, file, choice, today)
      else await choose(tx, id, file, { ...choice, leadId }, today)
    }
    await importPurchases(tx, id, file, (leadId) => localLead(tx, file, leadId), today)
    for (const rivalId of new Set(file.rivals)) await tx.insert(buildRivals).values({ buildId: id, rivalId })
    await assertCalculable(tx, id, today, 'library.rates')
    return id
  })
  return buildId
}

/** As it stood in the file, beside whatever else fills its role. */
async function choose(
  tx: Queryable,
  buildId: string,
  { brief }: BuildFile,
  choice: BuildFile['choices'][number],
  today: string,
): Promise<void> {
  const change = changeOf({ ...choice, keepBoth: true }, brief.currency)
  await carryOutWithin(tx, buildId, [change], today)
}

/** A thing that was owned goes into the build; where the one of that name is in use here, the file brings its own. */
async function useOwned(
  tx: Queryable,
  buildId: string,
  file: BuildFile,
  choice: BuildFile['choices'][number],
  today: string,
): Promise<void> {
  const [there] = await tx
    .select()
    .from(items)
    .where(eq(items.id, choice.shelfId ?? ''))
  const stated = file.library.shelf.find((thing) => thing.id === choice.shelfId)
  let shelfId = choice.shelfId
  if (stated && there && there.place !== 'shelf') {
    shelfId = newId(stated.partId)
    await tx.insert(items).values(ownedItem(shelfId, stated))
  }
  await choose(tx, buildId, file, { ...choice, shelfId }, today)
}

/** The lead as it is called here: the file's own, or the one known already under its source and number. */
async function localLead(tx: Pick<Database, 'select'>, file: BuildFile, leadId: string): Promise<string> {
  const [same] = await tx.select({ id: leads.id }).from(leads).where(eq(leads.id, leadId))
  if (same) return same.id
  const stated = file.library.leads.find((lead) => lead.id === leadId)
  if (!stated) return leadId
  const [known] = await tx
    .select({ id: leads.id })
    .from(leads)
    .where(and(eq(leads.sourceId, stated.sourceId), eq(leads.externalId, stated.externalId || stated.id)))
  return known?.id ?? leadId
}
