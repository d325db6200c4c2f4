import { and, eq, inArray, isNull } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal, toDecimal } from '#core/money/decimal'
import type { BuildFile } from '#shared/builds/buildFile'
import type { Database, Queryable } from '#server/db/client'
import { items, orderLines, orders } from '#server/db/schema/ledger'
import { leads, offers } from '#server/db/schema/leads'
import { newId } from '#server/db/ids'
import { readHoldings, type Holdings } from '#server/context/holdings'
import { insertLegacyPurchases } from './legacyPurchases'
import { markBought } from './markBought'
import { writeEntry } from './ledgerEntries'

/** The money and goods of a build, as its file carries them: orders, things, entries, offers. */
type PurchaseFile = Pick<BuildFile, 'orders' | 'items' | 'ledger' | 'offers' | 'arrivals'>

export async function exportPurchases(
  db: Database,
  buildId: string,
  leadIds: readonly string[],
): Promise<PurchaseFile> {
  const holdings = await readHoldings(db, buildId)
  return { ...goodsOf(holdings, buildId), offers: await offersOn(db, leadIds), arrivals: [] }
}

function goodsOf(
  { lines, items: things, entries, currency }: Holdings,
  buildId: string,
): Pick<PurchaseFile, 'orders' | 'items' | 'ledger'> {
  const lineIds = lines.map((line) => line.id)
  const indexOf = (list: readonly string[], id: string | null) =>
    id === null || !list.includes(id) ? null : list.indexOf(id)
  const entryIds = entries.map((entry) => entry.id)
  return {
    orders: lines.map(({ leadId, label, reason, paid, booked, order }) => ({
      sourceId: order.sourceId,
      day: order.day,
      currency: order.currency,
      paid: toDecimal(paid, order.currency),
      leadId,
      label,
      reason,
      booked: toDecimal(booked, currency),
    })),
    items: things
      .filter((thing) => thing.buildId === buildId)
      .map(
        ({
          id: _id,
          buildId: _build,
          payerId,
          lineId,
          cost,
          remaining,
          expectedBack,
          soldFor,
          ...thing
        }) => ({
          ...thing,
          line: indexOf(lineIds, lineId),
          isPaidHere: payerId === buildId,
          cost: toDecimal(cost, thing.currency),
          remaining: toDecimal(remaining, thing.currency),
          expectedBack: toDecimal(expectedBack, thing.currency),
          soldFor: toDecimal(soldFor, thing.currency),
        }),
      ) as PurchaseFile['items'],
    ledger: entries.map(({ day, kind, cash, hours, text, scope, lineId, correctsId }) => ({
      day,
      kind,
      cash: toDecimal(cash, currency),
      hours,
      text,
      scope,
      choice: null,
      line: indexOf(lineIds, lineId),
      corrects: indexOf(entryIds, correctsId),
    })),
  }
}

async function offersOn(db: Database, leadIds: readonly string[]): Promise<PurchaseFile['offers']> {
  if (leadIds.length === 0) return []
  const said = await db
    .select({ offer: offers, currency: leads.currency })
    .from(offers)
    .innerJoin(leads, eq(leads.id, offers.leadId))
    .where(and(inArray(offers.leadId, [...leadIds]), isNull(offers.deletedAt)))
    .orderBy(offers.id)
  return said.map(({ offer, currency }) => ({
    leadId: offer.leadId,
    by: offer.by,
    amount: offer.amount === null ? null : toDecimal(offer.amount, currency),
    day: offer.day,
    note: offer.note,
  }))
}

/** @param localLead the file's lead as it is called here */
export async function importPurchases(
  tx: Queryable,
  buildId: string,
  file: BuildFile,
  localLead: (id: string) => Promise<string>,
  today: string,
): Promise<void> {
  const lineIds: string[] = []
  for (const [index, line] of file.orders.entries()) {
    const amount = (text: string, currency: string, field: string) =>
      parseDecimal(text, currency, `orders[${index}].${field}`)
    const orderId = newId('order')
    const lineId = newId('line')
    const paid = amount(line.paid, line.currency, 'paid')
    const leadId = line.leadId === null ? null : await localLead(line.leadId)
    await tx
      .insert(orders)
      .values({ id: orderId, sourceId: line.sourceId, day: line.day, paid, currency: line.currency })
    await tx.insert(orderLines).values({
      id: lineId,
      orderId,
      buildId,
      leadId,
      label: line.label,
      reason: line.reason,
      paid,
      booked: amount(line.booked, file.brief.currency, 'booked'),
    })
    lineIds.push(lineId)
    if (leadId !== null) await markBought(tx, leadId)
  }
  for (const [index, { line, isPaidHere, ...thing }] of file.items.entries()) {
    const amount = (text: string, field: string) =>
      parseDecimal(text, thing.currency, `items[${index}].${field}`)
    await tx.insert(items).values({
      ...thing,
      leftOut: (thing.leftOut ?? []) as string[],
      checks: (thing.checks ?? []) as string[],
      facts: (thing.facts ?? {}) as Record<string, unknown>,
      id: newId(thing.partId),
      buildId,
      payerId: isPaidHere ? buildId : null,
      lineId: line === null ? null : (lineIds[line] ?? null),
      cost: amount(thing.cost, 'cost'),
      remaining: amount(thing.remaining, 'remaining'),
      expectedBack: amount(thing.expectedBack, 'expectedBack'),
      soldFor: amount(thing.soldFor, 'soldFor'),
    })
  }
  const legacy = await insertLegacyPurchases(tx, buildId, file, localLead)
  await importEntries(tx, buildId, file, (index) => legacy[index] ?? null, lineIds, today)
  await importOffers(tx, file, localLead)
}

async function importEntries(
  tx: Queryable,
  buildId: string,
  file: BuildFile,
  lineOfChoice: (index: number) => string | null,
  lineIds: readonly string[],
  today: string,
): Promise<void> {
  const written: string[] = []
  for (const [index, entry] of file.ledger.entries()) {
    const corrected = entry.corrects === null ? undefined : file.ledger[entry.corrects]
    if (entry.choice !== null && entry.choice >= file.choices.length)
      throw new CoreError('unknown-choice', { choice: entry.choice }, `ledger[${index}].choice`)
    written.push(
      await writeEntry(
        tx,
        {
          buildId,
          day: entry.day,
          // a correction has the kind of what it corrects; older files said only that it was one
          kind:
            entry.kind !== 'correction'
              ? entry.kind
              : corrected && corrected.kind !== 'correction'
                ? corrected.kind
                : entry.choice === null
                  ? 'fee'
                  : 'bought',
          cash: parseDecimal(entry.cash, file.brief.currency, `ledger[${index}].cash`),
          hours: entry.hours,
          text: entry.text,
          scope: entry.scope,
          lineId:
            entry.line === null
              ? entry.choice === null
                ? null
                : lineOfChoice(entry.choice)
              : (lineIds[entry.line] ?? null),
          correctsId: entry.corrects === null ? null : (written[entry.corrects] ?? null),
        },
        today,
      ),
    )
  }
}

async function importOffers(
  tx: Queryable,
  file: BuildFile,
  localLead: (id: string) => Promise<string>,
): Promise<void> {
  for (const [index, offer] of file.offers.entries()) {
    const leadId = await localLead(offer.leadId)
    const [lead] = await tx.select().from(leads).where(eq(leads.id, leadId))
    if (!lead) throw new CoreError('unknown-lead', { leadId: offer.leadId }, `offers[${index}].leadId`)
    const amount =
      offer.amount === null ? null : parseDecimal(offer.amount, lead.currency, `offers[${index}].amount`)
    // a lead that is known here keeps its own log
    const known = await tx
      .select()
      .from(offers)
      .where(and(eq(offers.leadId, leadId), eq(offers.day, offer.day), eq(offers.by, offer.by)))
    if (!known.some((each) => each.amount === amount && each.note === offer.note))
      await tx.insert(offers).values({
        id: `${String(index).padStart(8, '0')}-${newId(offer.by)}`,
        leadId,
        by: offer.by,
        amount,
        day: offer.day,
        note: offer.note,
      })
  }
}
