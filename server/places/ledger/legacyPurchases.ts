import { eq } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { itemCosts } from '#core/ledger/itemCosts'
import { parseDecimal } from '#core/money/decimal'
import type { BuildFile } from '#shared/builds/buildFile'
import type { Queryable } from '#server/db/client'
import { newId } from '#server/db/ids'
import { leads, leadThings } from '#server/db/schema/leads'
import { items, ledgerEntries, orderLines, orders } from '#server/db/schema/ledger'
import { parts } from '#server/db/schema/parts'
import { markBought } from './markBought'

/**
 * Files of the first year marked a choice as paid and noted arrivals beside it. Each such choice becomes an order with
 * its things; what was paid comes from its entries, else from its lead's price.
 *
 * @returns the lines made, by the place of their choice in the file
 */
export async function insertLegacyPurchases(
  tx: Queryable,
  buildId: string,
  file: BuildFile,
  localLead: (id: string) => Promise<string>,
): Promise<Record<number, string>> {
  for (const [index, { choice }] of file.arrivals.entries())
    if (!file.choices[choice]) throw new CoreError('unknown-choice', { choice }, `arrivals[${index}].choice`)
  const lines: Record<number, string> = {}
  for (const [index, choice] of file.choices.entries()) {
    if (!choice.paidOn || choice.kind === 'owned') continue
    const leadId = choice.leadId === null ? null : await localLead(choice.leadId)
    lines[index] = await insertPaid(tx, buildId, file, index, leadId)
    if (leadId !== null) await markBought(tx, leadId)
  }
  return lines
}

async function insertPaid(
  tx: Queryable,
  buildId: string,
  file: BuildFile,
  index: number,
  leadId: string | null,
): Promise<string> {
  const choice = file.choices[index]!
  const { currency } = file.brief
  const [lead] = leadId === null ? [] : await tx.select().from(leads).where(eq(leads.id, leadId))
  const things = await keptParts(tx, leadId, choice.partId)
  const entries = file.ledger.filter(
    (entry) => entry.choice === index && (entry.kind === 'bought' || entry.kind === 'correction'),
  )
  const booked =
    entries.length > 0
      ? entries.reduce((sum, { cash }, at) => sum - parseDecimal(cash, currency, `ledger[${at}].cash`), 0)
      : lead?.currency === currency
        ? lead.price
        : 0
  const [orderId, lineId] = [newId('order'), newId('line')]
  const day = choice.paidOn!
  const label = lead?.title ?? things[0]?.name ?? 'a part'
  await tx
    .insert(orders)
    .values({ id: orderId, sourceId: lead?.sourceId ?? null, day, paid: booked, currency })
  await tx
    .insert(orderLines)
    .values({ id: lineId, orderId, buildId, leadId, label, reason: choice.reason, paid: booked, booked })
  if (entries.length === 0)
    await tx.insert(ledgerEntries).values({
      id: newId('marked'),
      buildId,
      day,
      kind: 'bought',
      scope: choice.scope,
      cash: 0 - booked,
      hours: 0,
      lineId,
      text: `${label}, marked as paid`,
      createdAt: day,
    })
  await insertThings(
    tx,
    { buildId, lineId, booked, things, condition: lead?.condition ?? 'used' },
    file,
    index,
  )
  return lineId
}

async function keptParts(tx: Queryable, leadId: string | null, partId: string | null) {
  if (leadId === null) return tx.select().from(parts).where(eq(parts.id, partId!))
  const rows = await tx
    .select({ part: parts, quantity: leadThings.quantity, plan: leadThings.plan })
    .from(leadThings)
    .innerJoin(parts, eq(parts.id, leadThings.partId))
    .where(eq(leadThings.leadId, leadId))
    .orderBy(leadThings.position)
  return rows.flatMap(({ part, quantity, plan }) =>
    plan === 'keep' ? Array.from({ length: quantity }, () => part) : [],
  )
}

interface PaidThings {
  readonly buildId: string
  readonly lineId: string
  readonly booked: number
  readonly things: readonly (typeof parts.$inferSelect)[]
  readonly condition: typeof items.$inferInsert.condition
}

async function insertThings(
  tx: Queryable,
  { buildId, lineId, booked, things, condition }: PaidThings,
  file: BuildFile,
  index: number,
): Promise<void> {
  const choice = file.choices[index]!
  const arrival = file.arrivals.filter((each) => each.choice === index).at(-1)
  const [found] = arrival?.foundPartId
    ? await tx.select().from(parts).where(eq(parts.id, arrival.foundPartId))
    : []
  const foundAt = found ? things.findIndex((part) => part.role === found.role) : -1
  const costs = itemCosts(
    Math.max(0, booked),
    things.map(() => ({ plan: 'keep' as const, worth: 0 })),
  )
  for (const [at, part] of things.entries())
    await tx.insert(items).values({
      id: newId(part.id),
      partId: at === foundAt ? found!.id : part.id,
      listedPartId: at === foundAt && found!.id !== part.id ? part.id : null,
      condition,
      place: arrival ? (arrival.returnState === 'sent' ? 'returning' : 'build') : 'ordered',
      state: arrival ? (arrival.verdict === 'faulty' ? 'faulty' : 'works') : 'unseen',
      buildId,
      payerId: buildId,
      lineId,
      scope: choice.scope,
      plan: 'keep',
      isBuiltIn: true,
      reason: choice.reason,
      currency: file.brief.currency,
      cost: costs[at]!,
      remaining: costs[at]!,
      expectedBack: arrival?.returnState === 'sent' ? costs[at]! : 0,
      arrivedOn: arrival?.day ?? null,
      returnBy: arrival?.returnBy ?? null,
      checks: (arrival?.checks ?? []) as string[],
      note: arrival?.note ?? '',
    })
}
