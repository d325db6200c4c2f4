import { and, eq, inArray, isNull } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal, toDecimal } from '#core/money/decimal'
import type { LeadInput } from '#shared/leads/schemas'
import { NotFoundError } from '#server/errors/notFoundError'
import type { Database, Queryable } from '#server/db/client'
import { choices } from '#server/db/schema/machine'
import { codes, leads, leadThings, rebates } from '#server/db/schema/leads'
import { parts } from '#server/db/schema/parts'
import { items } from '#server/db/schema/ledger'
import { sources } from '#server/db/schema/sources'
import { assertCalculable } from '#server/context/assertCalculable'
import { newId } from '#server/db/ids'

/** Leads as forms and files state them: written down, changed, archive. */

/** Writes a lead with what is in it, its code and its rebate. Throws `unknown-part`, `unknown-source`. */
export async function insertLead(tx: Queryable, id: string, input: LeadInput): Promise<void> {
  await assertKnown(tx, input)
  await refuseTwin(tx, input)
  await tx.insert(leads).values({ ...leadRow(input), id, externalId: input.externalId || id, state: 'open' })
  await insertLeadDetails(tx, id, input)
}

function leadRow({
  things: _things,
  code: _code,
  rebate: _rebate,
  rebates: _rebates,
  tillCredit,
  price,
  shipping,
  extras,
  ...lead
}: LeadInput) {
  return {
    ...lead,
    extras: extras.map(({ label, amount }, index) => ({
      label,
      amount: parseDecimal(amount, lead.currency, `extras[${index}].amount`),
    })),
    price: parseDecimal(price, lead.currency, 'price'),
    shipping: shipping === null ? null : parseDecimal(shipping, lead.currency, 'shipping'),
    tillCredit:
      tillCredit === null ? null : parseDecimal(tillCredit.amount, lead.currency, 'tillCredit.amount'),
    tillItemId: tillCredit?.itemId ?? null,
  }
}

async function insertLeadDetails(
  tx: Queryable,
  leadId: string,
  { things, code, currency, ...input }: LeadInput,
): Promise<void> {
  const amount = (text: string, path: string) => parseDecimal(text, currency, path)
  for (const [position, thing] of things.entries())
    await tx.insert(leadThings).values({ ...thing, leadId, position })
  if (code) {
    await tx.insert(codes).values({
      id: newId('code'),
      leadId,
      word: code.word,
      kind: code.kind,
      validFrom: code.validFrom ?? null,
      validUntil: code.validUntil,
      onlyThis: code.onlyThis ?? false,
      once: code.once ?? false,
      value: code.kind === 'percent' ? Number(code.value) : amount(code.value, 'code.value'),
      minSpend: code.minSpend === null ? null : amount(code.minSpend, 'code.minSpend'),
      cap: code.cap === null ? null : amount(code.cap, 'code.cap'),
      stackable: code.stackable ?? true,
      role: code.role,
    })
  }
  for (const { rebate, path } of allRebates(input))
    await tx
      .insert(rebates)
      .values({ ...rebate, id: newId('rebate'), leadId, amount: amount(rebate.amount, `${path}.amount`) })
}

/** Every rebate of a lead, and where it stands in what was sent. */
function allRebates({ rebate, rebates: several }: Pick<LeadInput, 'rebate' | 'rebates'>) {
  return [
    ...(rebate ? [{ rebate, path: 'rebate' }] : []),
    ...several.map((each, index) => ({ rebate: each, path: `rebates[${index}]` })),
  ]
}

async function assertKnown(
  tx: Queryable,
  { sourceId, things, tillCredit, ...input }: LeadInput,
): Promise<void> {
  const [source] = await tx.select({ id: sources.id }).from(sources).where(eq(sources.id, sourceId))
  if (!source) throw new CoreError('unknown-source', { id: sourceId }, 'sourceId')
  const wanted = [
    ...new Set([
      ...things.map((thing) => thing.partId),
      ...allRebates(input).flatMap(({ rebate }) => rebate.tradedPartId ?? []),
    ]),
  ]
  const found = await tx.select({ id: parts.id }).from(parts).where(inArray(parts.id, wanted))
  const missing = wanted.find((id) => !found.some((part) => part.id === id))
  if (missing !== undefined) throw new CoreError('unknown-part', { id: missing }, 'things')
  if (!tillCredit?.itemId) return
  const [item] = await tx.select({ id: items.id }).from(items).where(eq(items.id, tillCredit.itemId))
  if (!item) throw new CoreError('unknown-item', {}, 'tillCredit.itemId')
}

/** The same listing of one source twice is one lead. */
async function refuseTwin(tx: Queryable, { sourceId, externalId }: LeadInput): Promise<void> {
  if (externalId === '') return
  const [twin] = await tx
    .select({ title: leads.title })
    .from(leads)
    .where(and(eq(leads.sourceId, sourceId), eq(leads.externalId, externalId)))
  if (twin) throw new CoreError('lead-already-there', { title: twin.title }, 'externalId')
}

export async function createLead(db: Database, input: LeadInput): Promise<string> {
  const id = newId(input.title)
  await db.transaction((tx) => insertLead(tx, id, input))
  return id
}

/** Replaces what is written about a lead; its choices keep pointing to it. */
export async function updateLead(db: Database, id: string, input: LeadInput, today: string): Promise<void> {
  await db.transaction(async (tx) => {
    const [old] = await tx
      .select({ externalId: leads.externalId })
      .from(leads)
      .where(and(eq(leads.id, id), isNull(leads.deletedAt)))
    if (!old) throw new NotFoundError('lead', id)
    await assertKnown(tx, input)
    await tx
      .update(leads)
      .set({ ...leadRow(input), externalId: input.externalId || old.externalId, tieDeduced: false })
      .where(eq(leads.id, id))
    for (const details of [codes, leadThings]) await tx.delete(details).where(eq(details.leadId, id))
    // what was promised with a purchase stays with its line
    await tx.delete(rebates).where(and(eq(rebates.leadId, id), isNull(rebates.lineId)))
    await insertLeadDetails(tx, id, input)
    const used = await tx
      .select({ buildId: choices.buildId })
      .from(choices)
      .where(and(eq(choices.leadId, id), isNull(choices.deletedAt)))
    for (const { buildId } of used) await assertCalculable(tx, buildId, today, 'currency')
  })
}

/** A lead as its form and its files state it. */
export async function leadInput(db: Database, id: string): Promise<LeadInput & { id: string }> {
  const [lead] = await db.select().from(leads).where(eq(leads.id, id))
  if (!lead) throw new NotFoundError('lead', id)
  const [things, [code], rebateRows] = await Promise.all([
    db.select().from(leadThings).where(eq(leadThings.leadId, id)).orderBy(leadThings.position),
    db.select().from(codes).where(eq(codes.leadId, id)),
    db
      .select()
      .from(rebates)
      .where(and(eq(rebates.leadId, id), isNull(rebates.lineId)))
      .orderBy(rebates.id),
  ])
  const decimal = (amount: number) => toDecimal(amount, lead.currency)
  return {
    id,
    sourceId: lead.sourceId,
    externalId: lead.externalId,
    title: lead.title,
    url: lead.url,
    price: decimal(lead.price),
    currency: lead.currency,
    condition: lead.condition,
    manner: lead.manner,
    listedOn: lead.listedOn,
    endsOn: lead.endsOn,
    shipping: lead.shipping === null ? null : decimal(lead.shipping),
    place: lead.place,
    note: lead.note,
    things: things.map(({ partId, quantity, plan }) => ({ partId, quantity, plan })),
    code: code
      ? {
          word: code.word,
          kind: code.kind,
          value: code.kind === 'percent' ? String(code.value) : decimal(code.value),
          minSpend: code.minSpend === null ? null : decimal(code.minSpend),
          validFrom: code.validFrom,
          validUntil: code.validUntil,
          onlyThis: code.onlyThis,
          once: code.once,
          cap: code.cap === null ? null : decimal(code.cap),
          stackable: code.stackable,
          role: code.role,
        }
      : null,
    rebate: null,
    rebates: rebateRows.map((rebate) => ({
      kind: rebate.kind,
      amount: decimal(rebate.amount),
      claimBy: rebate.claimBy,
      state: rebate.state,
      chance: rebate.chance,
      proof: rebate.proof,
      expectedBy: rebate.expectedBy,
      campaign: rebate.campaign,
      perHousehold: rebate.perHousehold,
      tradedPartId: rebate.tradedPartId,
    })),
    tillCredit:
      lead.tillCredit === null ? null : { amount: decimal(lead.tillCredit), itemId: lead.tillItemId },
    text: lead.text,
    answers: lead.answers,
    signs: lead.signs,
    extras: lead.extras.map(({ label, amount }) => ({ label, amount: decimal(amount) })),
  }
}
