import { and, eq, inArray, isNull } from 'drizzle-orm'
import { CoreError } from '#core/coreError'
import { parseDecimal, toDecimal } from '#core/money/decimal'
import type { LeadInput, LibraryFile, RivalInput, SourceInput } from '#shared/schemas/entities'
import { leadSchema } from '#shared/schemas/entities'
import { readLeads } from '#core/importing/leadsFile'
import { readShopPrices } from '#core/importing/shopPricesFile'
import type { LineProblem } from '#core/importing/columns'
import { ValidationError } from 'yup'
import { NotFoundError } from '../http/errors'
import type { Database, Queryable } from '../db/client'
import { choices, codes, exchangeRates, leads, leadThings, parts, rebates, rivalRates, rivals, runs, shelf, shopPrices, sources, workloads } from '../db/schema'
import { assertReckonable } from './assertReckonable'
import { newId } from './ids'
import { marketChanged } from './market'
import type { ImportReport } from './importRecords'

/** Parts, sources, workloads, leads, rivals: writing them down, from forms and from files alike. */

export function sourceRow({ shipping, ...source }: SourceInput) {
  return {
    ...source,
    shippingKind: shipping.kind,
    shippingAmount: parseDecimal(shipping.amount, source.currency, 'shipping.amount'),
    shippingFreeFrom: shipping.freeFrom === null ? null : parseDecimal(shipping.freeFrom, source.currency, 'shipping.freeFrom'),
  }
}

/** Imports a library file in one transaction. What is there already (same id) stays as it is. */
export async function importLibrary(db: Database, file: LibraryFile): Promise<{ added: number; alreadyThere: number }> {
  const counts = await db.transaction((tx) => insertLibrary(tx, file))
  marketChanged(db)
  return counts
}

export async function insertLibrary(tx: Queryable, file: LibraryFile): Promise<{ added: number; alreadyThere: number }> {
  let added = 0
  let wanted = 0
  const count = (result: { rowsAffected: number }) => {
    added += result.rowsAffected
    wanted += 1
    return result.rowsAffected > 0
  }
  for (const source of file.sources) count(await tx.insert(sources).values(sourceRow(source)).onConflictDoNothing())
  for (const part of file.parts) count(await tx.insert(parts).values({ ...part, facts: part.facts as never }).onConflictDoNothing())
  for (const { lowShare, presets, upscaling, ...workload } of file.workloads) {
    count(await tx.insert(workloads).values({ ...workload, lowShareGraphics: lowShare.graphics, lowShareCpu: lowShare.cpu, presets: presets as never, upscaling: upscaling as never }).onConflictDoNothing())
  }
  for (const rate of file.rates) count(await tx.insert(exchangeRates).values(rate).onConflictDoNothing())
  for (const rival of file.rivals) {
    await mustExist(tx, 'rivals', rival)
    if (count(await tx.insert(rivals).values(rivalRow(rival.id, rival)).onConflictDoNothing())) await insertRivalRates(tx, rival.id, rival)
  }
  for (const thing of file.shelf) count(await tx.insert(shelf).values({ ...thing, cost: parseDecimal(thing.cost, thing.currency, 'cost') }).onConflictDoNothing())
  for (const run of file.runs) count(await tx.insert(runs).values(run).onConflictDoNothing())
  for (const lead of file.leads) {
    const existing = await tx.select({ id: leads.id }).from(leads).where(and(eq(leads.sourceId, lead.sourceId), eq(leads.externalId, lead.externalId || lead.id)))
    if (existing.length > 0) wanted += 1
    else {
      await insertLead(tx, lead.id, { ...lead, externalId: lead.externalId || lead.id })
      added += 1
      wanted += 1
    }
  }
  return { added, alreadyThere: wanted - added }
}

async function mustExist(tx: Queryable, path: string, rival: RivalInput): Promise<void> {
  const wanted = [rival.cpuId, rival.graphicsId].filter((id): id is string => id !== null)
  if (wanted.length === 0) return
  const found = await tx.select({ id: parts.id }).from(parts).where(inArray(parts.id, wanted))
  const missing = wanted.find((id) => !found.some((part) => part.id === id))
  if (missing !== undefined) throw new CoreError('unknown-part', `${rival.name} names the part "${missing}", which is not in the library`, path)
}

export function rivalRow(id: string, { price, shipping, rates: _rates, ...rival }: RivalInput) {
  return { ...rival, id, price: parseDecimal(price, rival.currency, 'price'), shipping: parseDecimal(shipping, rival.currency, 'shipping'), brings: rival.brings as never, notStated: (rival.notStated ?? []) as string[] }
}

export async function insertRivalRates(tx: Queryable, rivalId: string, rival: RivalInput): Promise<void> {
  for (const rate of rival.rates) await tx.insert(rivalRates).values({ ...rate, id: newId('rate'), rivalId })
}

/** Writes a lead with what is in it, its code and its rebate. Throws `unknown-part`, `unknown-source`. */
export async function insertLead(tx: Queryable, id: string, input: LeadInput): Promise<void> {
  await assertKnown(tx, input)
  await tx.insert(leads).values({ ...leadRow(input), id, externalId: input.externalId || id, state: 'open' })
  await insertLeadDetails(tx, id, input)
}

function leadRow({ things: _things, code: _code, rebate: _rebate, price, shipping, ...lead }: LeadInput) {
  return {
    ...lead,
    price: parseDecimal(price, lead.currency, 'price'),
    shipping: shipping === null ? null : parseDecimal(shipping, lead.currency, 'shipping'),
  }
}

async function insertLeadDetails(tx: Queryable, leadId: string, { things, code, rebate, currency }: LeadInput): Promise<void> {
  const amount = (text: string, path: string) => parseDecimal(text, currency, path)
  for (const [position, thing] of things.entries()) await tx.insert(leadThings).values({ ...thing, leadId, position })
  if (code) {
    await tx.insert(codes).values({
      id: newId('code'), leadId, word: code.word, kind: code.kind, validUntil: code.validUntil,
      value: code.kind === 'percent' ? Number(code.value) : amount(code.value, 'code.value'),
      minSpend: code.minSpend === null ? null : amount(code.minSpend, 'code.minSpend'),
    })
  }
  if (rebate) await tx.insert(rebates).values({ ...rebate, id: newId('rebate'), leadId, amount: amount(rebate.amount, 'rebate.amount') })
}

async function assertKnown(tx: Queryable, { sourceId, things }: LeadInput): Promise<void> {
  const [source] = await tx.select({ id: sources.id }).from(sources).where(eq(sources.id, sourceId))
  if (!source) throw new CoreError('unknown-source', `"${sourceId}" is not one of the sources`, 'sourceId')
  const wanted = [...new Set(things.map((thing) => thing.partId))]
  const found = await tx.select({ id: parts.id }).from(parts).where(inArray(parts.id, wanted))
  const missing = wanted.find((id) => !found.some((part) => part.id === id))
  if (missing !== undefined) throw new CoreError('unknown-part', `"${missing}" is not in the parts library`, 'things')
}

export async function createLead(db: Database, input: LeadInput): Promise<string> {
  const id = newId(input.title)
  await db.transaction((tx) => insertLead(tx, id, input))
  return id
}

/** Replaces what is written about a lead; its choices keep pointing to it. */
export async function updateLead(db: Database, id: string, input: LeadInput, today: string): Promise<void> {
  await db.transaction(async (tx) => {
    const [old] = await tx.select({ externalId: leads.externalId }).from(leads).where(and(eq(leads.id, id), isNull(leads.deletedAt)))
    if (!old) throw new NotFoundError(`there is no lead "${id}"`)
    await assertKnown(tx, input)
    await tx.update(leads).set({ ...leadRow(input), externalId: input.externalId || old.externalId }).where(eq(leads.id, id))
    for (const details of [codes, rebates, leadThings]) await tx.delete(details).where(eq(details.leadId, id))
    await insertLeadDetails(tx, id, input)
    const used = await tx.select({ buildId: choices.buildId }).from(choices).where(and(eq(choices.leadId, id), isNull(choices.deletedAt)))
    for (const { buildId } of used) await assertReckonable(tx, buildId, today, 'currency')
  })
}

/** Passes on, takes back, deletes or brings back a lead. */
export async function setLeadState(db: Database, id: string, change: { state: 'open' | 'passed' | undefined; deletedAt: string | null | undefined }): Promise<void> {
  const set = Object.fromEntries(Object.entries(change).filter(([, value]) => value !== undefined))
  if (Object.keys(set).length === 0) return
  const { rowsAffected } = await db.update(leads).set(set).where(eq(leads.id, id))
  if (rowsAffected === 0) throw new NotFoundError(`there is no lead "${id}"`)
}

/** Imports a CSV of leads in one transaction; lines that do not hold are reported, the others are added once. */
export async function importLeads(db: Database, text: string, defaults: { currency: string; today: string }): Promise<ImportReport> {
  const { read, problems } = readLeads(text, defaults)
  const rejected: LineProblem[] = [...problems]
  let added = 0
  let alreadyThere = 0
  await db.transaction(async (tx) => {
    for (const { line, raw, value: lead } of read) {
      try {
        const input = leadSchema.validateSync(lead)
        const id = newId(input.title)
        const externalId = input.externalId || `${input.listedOn}/${input.title}`.slice(0, 200)
        const [existing] = await tx.select({ id: leads.id }).from(leads).where(and(eq(leads.sourceId, input.sourceId), eq(leads.externalId, externalId)))
        if (existing) alreadyThere += 1
        else {
          await insertLead(tx, id, { ...input, externalId })
          added += 1
        }
      } catch (error) {
        if (!(error instanceof CoreError) && !(error instanceof ValidationError)) throw error
        rejected.push({ line, code: error instanceof CoreError ? error.code : 'invalid', reason: error.message, raw })
      }
    }
  })
  rejected.sort((a, b) => a.line - b.line)
  return { added, alreadyThere, rejected: rejected.length, problems: rejected.slice(0, 500) }
}

/** Imports a CSV of shop prices in one transaction. */
export async function importShopPrices(db: Database, text: string, defaults: { currency: string; today: string }): Promise<ImportReport> {
  const { read, problems } = readShopPrices(text, defaults)
  const rejected: LineProblem[] = [...problems]
  let added = 0
  await db.transaction(async (tx) => {
    const knownSources = new Set((await tx.select({ id: sources.id }).from(sources)).map((row) => row.id))
    const knownParts = new Set((await tx.select({ id: parts.id }).from(parts)).map((row) => row.id))
    const good = read.filter(({ line, raw, value: { sourceId, partId } }) => {
      if (knownSources.has(sourceId) && knownParts.has(partId)) return true
      rejected.push({ line, code: 'unknown', reason: knownSources.has(sourceId) ? `no part "${partId}"` : `no source "${sourceId}"`, raw })
      return false
    })
    for (let start = 0; start < good.length; start += 500) {
      const rows = good.slice(start, start + 500).map((row) => row.value)
      added += (await tx.insert(shopPrices).values(rows).onConflictDoNothing()).rowsAffected
    }
  })
  marketChanged(db)
  rejected.sort((a, b) => a.line - b.line)
  return { added, alreadyThere: read.length - (rejected.length - problems.length) - added, rejected: rejected.length, problems: rejected.slice(0, 500) }
}

/** A lead as its form and its files state it. */
export async function leadInput(db: Database, id: string): Promise<LeadInput & { id: string }> {
  const [lead] = await db.select().from(leads).where(eq(leads.id, id))
  if (!lead) throw new NotFoundError(`there is no lead "${id}"`)
  const [things, [code], [rebate]] = await Promise.all([
    db.select().from(leadThings).where(eq(leadThings.leadId, id)).orderBy(leadThings.position),
    db.select().from(codes).where(eq(codes.leadId, id)),
    db.select().from(rebates).where(eq(rebates.leadId, id)),
  ])
  const decimal = (amount: number) => toDecimal(amount, lead.currency)
  return {
    id, sourceId: lead.sourceId, externalId: lead.externalId, title: lead.title, url: lead.url, price: decimal(lead.price), currency: lead.currency,
    condition: lead.condition, manner: lead.manner, listedOn: lead.listedOn, endsOn: lead.endsOn, shipping: lead.shipping === null ? null : decimal(lead.shipping),
    place: lead.place, note: lead.note,
    things: things.map(({ partId, quantity, plan }) => ({ partId, quantity, plan })),
    code: code ? { word: code.word, kind: code.kind, value: code.kind === 'percent' ? String(code.value) : decimal(code.value), minSpend: code.minSpend === null ? null : decimal(code.minSpend), validUntil: code.validUntil } : null,
    rebate: rebate ? { kind: rebate.kind, amount: decimal(rebate.amount), claimBy: rebate.claimBy, state: rebate.state, chance: rebate.chance } : null,
  }
}
