import { and, eq, inArray } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal, toDecimal } from '#core/money/decimal'
import { rivalSchema, type LibraryFile, type RivalInput, type SourceInput } from '#shared/entities'
import type { Database, Queryable } from '../db/client'
import {
  exchangeRates,
  leads,
  parts,
  rivalRates,
  rivals,
  shelf,
  sources,
  workloads,
  workResults,
  workTasks,
} from '../db/schema'
import { newId } from '../db/ids'
import { marketChanged } from './market'
import { insertLead } from '../places/leads/leads'
import { insertRun } from '../places/bench/runs'

/** Library files: parts, sources, workloads, rivals, rates, and what goes with them. */

export function sourceRow({ shipping, importFreeUnder, ...source }: SourceInput) {
  return {
    ...source,
    importFreeUnder: parseDecimal(importFreeUnder, source.currency, 'importFreeUnder'),
    shippingKind: shipping.kind,
    shippingAmount: parseDecimal(shipping.amount, source.currency, 'shipping.amount'),
    shippingFreeFrom:
      shipping.freeFrom === null
        ? null
        : parseDecimal(shipping.freeFrom, source.currency, 'shipping.freeFrom'),
  }
}

/** Imports a library file in one transaction. What is there already (same id) stays as it is. */
export async function importLibrary(
  db: Database,
  file: LibraryFile,
): Promise<{ added: number; alreadyThere: number }> {
  const counts = await db.transaction((tx) => insertLibrary(tx, file))
  marketChanged(db)
  return counts
}

export async function insertLibrary(
  tx: Queryable,
  file: LibraryFile,
): Promise<{ added: number; alreadyThere: number }> {
  let added = 0
  let wanted = 0
  const count = (result: { rowsAffected: number }) => {
    added += result.rowsAffected
    wanted += 1
    return result.rowsAffected > 0
  }
  for (const source of file.sources)
    count(await tx.insert(sources).values(sourceRow(source)).onConflictDoNothing())
  for (const part of file.parts)
    count(
      await tx
        .insert(parts)
        .values({ ...part, facts: part.facts as never })
        .onConflictDoNothing(),
    )
  for (const { lowShare, presets, upscaling, ...workload } of file.workloads) {
    count(
      await tx
        .insert(workloads)
        .values({
          ...workload,
          lowShareGraphics: lowShare.graphics,
          lowShareCpu: lowShare.cpu,
          presets: presets as never,
          upscaling: upscaling as never,
        })
        .onConflictDoNothing(),
    )
  }
  for (const rate of file.rates) count(await tx.insert(exchangeRates).values(rate).onConflictDoNothing())
  for (const rival of file.rivals) {
    await rivalNamesParts(tx, 'rivals', rival)
    if (count(await tx.insert(rivals).values(rivalRow(rival.id, rival)).onConflictDoNothing()))
      await insertRivalRates(tx, rival.id, rival)
  }
  for (const thing of file.shelf)
    count(
      await tx
        .insert(shelf)
        .values({ ...thing, cost: parseDecimal(thing.cost, thing.currency, 'cost') })
        .onConflictDoNothing(),
    )
  for (const { id, ...run } of file.runs) count(await insertRun(tx, id, run))
  for (const task of file.tasks) count(await tx.insert(workTasks).values(task).onConflictDoNothing())
  for (const result of file.taskResults)
    count(await tx.insert(workResults).values(result).onConflictDoNothing())
  for (const lead of file.leads) {
    const existing = await tx
      .select({ id: leads.id })
      .from(leads)
      .where(and(eq(leads.sourceId, lead.sourceId), eq(leads.externalId, lead.externalId || lead.id)))
    if (existing.length > 0) wanted += 1
    else {
      await insertLead(tx, lead.id, { ...lead, externalId: lead.externalId || lead.id })
      added += 1
      wanted += 1
    }
  }
  return { added, alreadyThere: wanted - added }
}

/** Refuses a rival that names a part which is not in the library. */
export async function rivalNamesParts(tx: Queryable, path: string, rival: RivalInput): Promise<void> {
  const wanted = [rival.cpuId, rival.graphicsId].filter((id): id is string => id !== null)
  if (wanted.length === 0) return
  const found = await tx.select({ id: parts.id }).from(parts).where(inArray(parts.id, wanted))
  const missing = wanted.find((id) => !found.some((part) => part.id === id))
  if (missing !== undefined)
    throw new CoreError(
      'unknown-part',
      `${rival.name} names the part "${missing}", which is not in the library`,
      path,
    )
}

export function rivalRow(
  id: string,
  {
    price,
    shipping,
    subscriptionPerYear,
    gameSurcharge,
    resaleToday,
    extras,
    rates: _rates,
    ...rival
  }: RivalInput,
) {
  const amount = (text: string, path: string) => parseDecimal(text, rival.currency, path)
  return {
    ...rival,
    id,
    price: amount(price, 'price'),
    shipping: amount(shipping, 'shipping'),
    subscriptionPerYear: amount(subscriptionPerYear, 'subscriptionPerYear'),
    gameSurcharge: amount(gameSurcharge, 'gameSurcharge'),
    resaleToday: resaleToday === null ? null : amount(resaleToday, 'resaleToday'),
    extras: extras.map(({ label, worth }, index) => ({
      label,
      worth: amount(worth, `extras[${index}].worth`),
    })),
    brings: rival.brings as never,
    notStated: (rival.notStated ?? []) as string[],
    equivalents: [...rival.equivalents],
  }
}

/** A rival as its form and its files state it. */
export function rivalInput(
  {
    deletedAt: _deletedAt,
    price,
    shipping,
    subscriptionPerYear,
    gameSurcharge,
    resaleToday,
    extras,
    parts: said,
    ...rival
  }: typeof rivals.$inferSelect,
  rates: readonly (typeof rivalRates.$inferSelect)[],
): LibraryFile['rivals'][number] {
  const decimal = (amount: number) => toDecimal(amount, rival.currency)
  return {
    ...rival,
    price: decimal(price),
    shipping: decimal(shipping),
    subscriptionPerYear: decimal(subscriptionPerYear),
    gameSurcharge: decimal(gameSurcharge),
    resaleToday: resaleToday === null ? null : decimal(resaleToday),
    extras: extras.map(({ label, worth }) => ({ label, worth: decimal(worth) })),
    parts: { ...rivalSchema.getDefault().parts, ...said },
    rates: rates
      .filter((rate) => rate.rivalId === rival.id)
      .map(({ workloadId, width, height, preset, averageFps, lowFps, note }) => ({
        workloadId,
        width,
        height,
        preset,
        averageFps,
        lowFps,
        note,
      })),
  }
}

export async function insertRivalRates(tx: Queryable, rivalId: string, rival: RivalInput): Promise<void> {
  for (const rate of rival.rates) await tx.insert(rivalRates).values({ ...rate, id: newId('rate'), rivalId })
}
