import { inArray, and, eq, isNull } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal, toDecimal } from '#core/money/decimal'
import type { BuildFile } from '#shared/builds/buildFile'
import type { Database, Queryable } from '#server/db/client'
import { arrivals, ledgerEntries } from '#server/db/schema/ledger'
import { leads, offers } from '#server/db/schema/leads'
import { newId } from '#server/db/ids'
import { arrivalsOf } from '#server/context/arrivals'
import { writeEntry } from './ledgerEntries'

/** The money and goods of a build, as its file carries them: entries, offers, arrivals. */
type PurchaseFile = Pick<BuildFile, 'ledger' | 'offers' | 'arrivals'>

/** @param choiceIds ids of the file's choices, in its order */
export async function exportPurchases(
  db: Database,
  buildId: string,
  choiceIds: readonly string[],
  leadIds: readonly string[],
  currency: string,
): Promise<PurchaseFile> {
  const entries = await db
    .select()
    .from(ledgerEntries)
    .where(eq(ledgerEntries.buildId, buildId))
    .orderBy(ledgerEntries.id)
  const said =
    leadIds.length === 0
      ? []
      : await db
          .select({ offer: offers, currency: leads.currency })
          .from(offers)
          .innerJoin(leads, eq(leads.id, offers.leadId))
          .where(and(inArray(offers.leadId, [...leadIds]), isNull(offers.deletedAt)))
          .orderBy(offers.id)
  const indexOf = (list: readonly string[], id: string | null) =>
    id === null || !list.includes(id) ? null : list.indexOf(id)
  const entryIds = entries.map((entry) => entry.id)
  return {
    ledger: entries.map(({ day, kind, cash, hours, text, choiceId, correctsId }) => ({
      day,
      kind,
      cash: toDecimal(cash, currency),
      hours,
      text,
      choice: indexOf(choiceIds, choiceId),
      corrects: indexOf(entryIds, correctsId),
    })),
    offers: said.map(({ offer, currency: own }) => ({
      leadId: offer.leadId,
      by: offer.by,
      amount: offer.amount === null ? null : toDecimal(offer.amount, own),
      day: offer.day,
      note: offer.note,
    })),
    arrivals: [...(await arrivalsOf(db, choiceIds))].map(
      ([choiceId, { day, verdict, foundPartId, checks, note, returnBy, returnState }]) => ({
        choice: choiceIds.indexOf(choiceId),
        day,
        verdict,
        foundPartId,
        checks,
        note,
        returnBy,
        returnState,
      }),
    ) as BuildFile['arrivals'],
  }
}

/** @param localLead the file's lead as it is called here */
export async function importPurchases(
  tx: Queryable,
  buildId: string,
  file: BuildFile,
  choiceIds: readonly string[],
  localLead: (id: string) => Promise<string>,
  today: string,
): Promise<void> {
  const choiceAt = (index: number | null, path: string) => {
    if (index === null) return null
    const id = choiceIds[index]
    if (id === undefined)
      throw new CoreError('unknown-choice', `there is no choice ${index} in this file`, path)
    return id
  }
  const written: string[] = []
  for (const [index, entry] of file.ledger.entries()) {
    const cash = parseDecimal(entry.cash, file.brief.currency, `ledger[${index}].cash`)
    written.push(
      await writeEntry(
        tx,
        {
          buildId,
          day: entry.day,
          kind: entry.kind,
          cash,
          hours: entry.hours,
          text: entry.text,
          choiceId: choiceAt(entry.choice, `ledger[${index}].choice`),
          correctsId: entry.corrects === null ? null : (written[entry.corrects] ?? null),
        },
        today,
      ),
    )
  }
  for (const [index, offer] of file.offers.entries()) {
    const leadId = await localLead(offer.leadId)
    const [lead] = await tx.select().from(leads).where(eq(leads.id, leadId))
    if (!lead)
      throw new CoreError(
        'unknown-lead',
        `there is no lead "${offer.leadId}" in this file`,
        `offers[${index}].leadId`,
      )
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
  for (const [index, { choice, ...arrival }] of file.arrivals.entries()) {
    await tx.insert(arrivals).values({
      ...arrival,
      checks: (arrival.checks ?? []) as string[],
      id: newId('arrival'),
      choiceId: choiceAt(choice, `arrivals[${index}].choice`)!,
      createdAt: today,
    })
  }
}
