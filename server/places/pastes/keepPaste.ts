import { and, eq, inArray, isNotNull } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import { roleNames } from '#core/parts/part'
import { findBuild } from '#server/context/findBuild'
import { marketChanged, marketReplaced } from '#server/context/market'
import { assertCalculable } from '#server/context/assertCalculable'
import type { Database, Queryable } from '#server/db/client'
import { choices } from '#server/db/schema/machine'
import { codes, leads, leadThings, rebates } from '#server/db/schema/leads'
import { parts } from '#server/db/schema/parts'
import { recordOverrides, soldRecords } from '#server/db/schema/prices'
import { imports, sources } from '#server/db/schema/sources'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'
import type { PasteKept } from '#shared/pastes/views'
import type { PasteInput, PasteMade, ShopPriceMade } from '#shared/pastes/schemas'
import { insertLead } from '../leads/leads'
import { insertChoice } from '../machine/choices'
import { putShopPrice, putShopPriceBack } from '../prices/noteShopPrice'
import { sourceNamed } from '../sources/sourceNamed'
import { usesOfSource } from '../sources/sources'
import { saleKey } from './doubles'
import { putIndexesBack, setIndexes } from './pastedIndexes'

/** Keeps what a paste was understood to be: source, sales, parts, hunts and a lead in one transaction, with one undo. */
export async function keepPaste(db: Database, input: PasteInput, today: string): Promise<PasteKept> {
  const kept = await db.transaction(async (tx) => {
    const source = input.source ? await sourceNamed(tx, input.source) : null
    const [row] = await tx
      .insert(imports)
      .values({
        kind: 'paste',
        fileName: '',
        createdAt: today,
        added: 0,
        alreadyThere: 0,
        rejected: 0,
      })
      .returning({ id: imports.id })
    const paste = row!.id
    const added = await insertSales(tx, input, source?.id ?? null, paste, today)
    const made = await insertParts(tx, input)
    const chosen = await insertHunts(tx, input, today)
    const indexes = await setIndexes(tx, input)
    const leadIds = await insertPastedLeads(tx, input, source?.id ?? null)
    const shopPrices = await insertShopPrices(tx, input, source?.id ?? null, today)
    const meanings = await remember(tx, input, source?.id ?? null)
    await tx
      .update(imports)
      .set({
        added,
        alreadyThere: input.sales.length - added,
        made: {
          sources: source?.isNew ? [source.id] : [],
          parts: made,
          choices: chosen,
          leads: leadIds,
          indexes,
          shopPrices,
          meanings,
        },
      })
      .where(eq(imports.id, paste))
    return { paste, added, alreadyThere: input.sales.length - added, parts: made, leadIds }
  })
  marketChanged(db)
  return kept
}

/** Sales that are there already (same source, title, day and price) are counted, not added. */
async function insertSales(
  tx: Queryable,
  { sales, source }: PasteInput,
  sourceId: string | null,
  paste: number,
  today: string,
): Promise<number> {
  if (sales.length === 0) return 0
  if (sourceId === null) throw new CoreError('no-source', {}, 'source')
  let added = 0
  for (const [index, sale] of sales.entries()) {
    if (sale.soldOn > today)
      throw new CoreError('future-date', { day: sale.soldOn }, `sales[${index}].soldOn`)
    const price = parseDecimal(sale.price, sale.currency, `sales[${index}].price`)
    if (price <= 0) throw new CoreError('price', {}, `sales[${index}].price`)
    const rows = await tx
      .insert(soldRecords)
      .values({
        source: source!.name.trim(),
        externalId: saleKey(sale, price),
        title: sale.title,
        price,
        shipping:
          sale.shipping === null ? 0 : parseDecimal(sale.shipping, sale.currency, `sales[${index}].shipping`),
        currency: sale.currency,
        soldOn: sale.soldOn,
        manner: sale.manner ?? 'fixed',
        condition: sale.condition ?? 'used',
        quantity: sale.quantity,
        importId: paste,
      })
      .onConflictDoNothing()
      .returning({ id: soldRecords.id })
    added += rows.length
  }
  return added
}

/** Makes the parts; one of the same id and role that another tab has made meanwhile is the one that is meant. */
async function insertParts(tx: Queryable, { parts: fresh }: PasteInput): Promise<string[]> {
  const made: string[] = []
  for (const [index, part] of fresh.entries()) {
    const [twin] = await tx.select({ role: parts.role }).from(parts).where(eq(parts.id, part.id))
    if (twin?.role === part.role && !made.includes(part.id)) continue
    if (twin)
      throw new CoreError(
        'part-already-there',
        { name: part.name, role: roleNames[twin.role] },
        `parts[${index}].id`,
      )
    await tx.insert(parts).values({ ...part, facts: part.facts as never })
    made.push(part.id)
  }
  return made
}

async function insertHunts(tx: Queryable, { hunts }: PasteInput, today: string): Promise<string[]> {
  const ids: string[] = []
  for (const [index, { buildId, partId, limit, condition }] of hunts.entries()) {
    await findBuild(tx, buildId)
    if (limit === null) throw new CoreError('no-limit', {}, `hunts[${index}].limit`)
    const choice = {
      kind: 'hunt',
      partId,
      limit,
      condition: condition ?? null,
      leadId: null,
      shelfId: null,
      scope: 'core',
      reason: '',
    } as const
    ids.push(await insertChoice(tx, buildId, choice, today))
    await assertCalculable(tx, buildId, today, `hunts[${index}]`)
  }
  return ids
}

async function insertPastedLeads(
  tx: Queryable,
  { leads: stated }: PasteInput,
  sourceId: string | null,
): Promise<string[]> {
  const ids: string[] = []
  for (const lead of stated) {
    const id = newId(lead.title)
    await insertLead(tx, id, sourceId === null ? lead : { ...lead, sourceId })
    ids.push(id)
  }
  return ids
}

async function insertShopPrices(
  tx: Queryable,
  { shopPrices }: PasteInput,
  sourceId: string | null,
  today: string,
): Promise<ShopPriceMade[]> {
  const made: ShopPriceMade[] = []
  for (const [index, stated] of shopPrices.entries()) {
    if (sourceId === null) throw new CoreError('no-shop', {}, 'source')
    made.push(await putShopPrice(tx, { ...stated, sourceId, date: today }, `shopPrices[${index}].`))
  }
  return made
}

/** What was said once about the words of a source is not asked again. */
async function remember(
  tx: Queryable,
  { meanings }: PasteInput,
  sourceId: string | null,
): Promise<PasteMade['meanings']> {
  if (meanings === null || sourceId === null) return undefined
  const [source] = await tx.select({ before: sources.meanings }).from(sources).where(eq(sources.id, sourceId))
  const before = source!.before
  await tx
    .update(sources)
    .set({
      meanings: {
        manner: { ...before?.manner, ...meanings.manner },
        condition: { ...before?.condition, ...meanings.condition },
      },
    })
    .where(eq(sources.id, sourceId))
  return { sourceId, before }
}

/**
 * Takes a paste, or an import of past sales, back whole; refused, naming it, where something of it was used since. What
 * was decided on its records goes with them.
 */
export async function undoPaste(db: Database, paste: number): Promise<void> {
  let recordsGone = false
  await db.transaction(async (tx) => {
    const [row] = await tx
      .select()
      .from(imports)
      .where(and(eq(imports.id, paste), inArray(imports.kind, ['paste', 'sold-records'])))
    if (!row) throw new NotFoundError('paste', paste)
    await takeBack(tx, row.made)
    const own = tx.select({ id: soldRecords.id }).from(soldRecords).where(eq(soldRecords.importId, paste))
    await tx.delete(recordOverrides).where(inArray(recordOverrides.recordId, own))
    const gone = await tx.delete(soldRecords).where(eq(soldRecords.importId, paste))
    recordsGone = gone.rowsAffected > 0
    await tx
      .update(imports)
      .set({ added: 0, made: { sources: [], parts: [], choices: [], leads: [] } })
      .where(eq(imports.id, paste))
  })
  // a market takes over its records, so one that has lost some begins again
  if (recordsGone) marketReplaced(db)
  else marketChanged(db)
}

async function takeBack(tx: Queryable, made: PasteMade): Promise<void> {
  await putIndexesBack(tx, made.indexes ?? [])
  // the last one first, where one paste states a price twice
  for (const price of [...(made.shopPrices ?? [])].reverse()) await putShopPriceBack(tx, price)
  if (made.meanings) {
    const { sourceId, before } = made.meanings
    await tx.update(sources).set({ meanings: before }).where(eq(sources.id, sourceId))
  }
  if (made.choices.length > 0) {
    const paid = await tx
      .select({ id: choices.id })
      .from(choices)
      .where(and(inArray(choices.id, [...made.choices]), isNotNull(choices.lineId)))
    if (paid.length > 0) throw new CoreError('paste-bought', {}, 'paste')
    await tx.delete(choices).where(inArray(choices.id, [...made.choices]))
  }
  for (const id of made.leads)
    await unlessUsed('the lead', async () => {
      for (const table of [leadThings, codes, rebates]) await tx.delete(table).where(eq(table.leadId, id))
      await tx.delete(leads).where(eq(leads.id, id))
    })
  for (const id of made.parts) await unlessUsed('a part', () => tx.delete(parts).where(eq(parts.id, id)))
  for (const id of made.sources)
    if ((await usesOfSource(tx, id)).length === 0) await tx.delete(sources).where(eq(sources.id, id))
}

/** What something else points to by now cannot be deleted, and says so. */
async function unlessUsed(what: string, remove: () => Promise<unknown>): Promise<void> {
  try {
    await remove()
  } catch (error) {
    throw new CoreError('paste-used', { what }, 'paste', {
      cause: error,
    })
  }
}
