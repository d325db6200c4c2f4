import { and, eq, inArray, isNull } from 'drizzle-orm'
import { ledgerAccount, type LedgerLine } from '#core/ledger/ledger'
import { resale } from '#core/ledger/resale'
import { csvTable } from '#core/files/export/csvCell'
import { toDecimal } from '#core/money/decimal'
import type { BuildView } from '#shared/builds/views'
import type { LedgerView } from '#shared/ledger/views'
import type { Database } from '#server/db/client'
import { choices } from '#server/db/schema/machine'
import { leads, rebates } from '#server/db/schema/leads'
import { ledgerEntries } from '#server/db/schema/ledger'
import { sources } from '#server/db/schema/sources'
import { buildView } from '../builds/buildView'
import { openOrders } from '#server/context/openOrders'
import { valuedLeads } from '#server/context/valuedLeads'
import { choiceRowsOf } from '#server/context/choicesOf'
import { findBuild } from '#server/context/findBuild'
import { streetAt, useMarket } from '#server/context/market'
import { arrivalsOf } from '#server/context/arrivals'

/** The ledger of a build: entries, account, paid against anyone, dates ahead, and what it would fetch. */
export async function ledgerView(db: Database, buildId: string, today: string): Promise<LedgerView> {
  const view = await buildView(db, buildId, today)
  const market = await useMarket(db)
  const written = await db
    .select()
    .from(ledgerEntries)
    .where(eq(ledgerEntries.buildId, buildId))
    .orderBy(ledgerEntries.day, ledgerEntries.id)
  const rows = withImplied(written, view, buildId)
  const arrived = await arrivalsOf(
    db,
    view.choices.map((choice) => choice.id),
  )
  const lines: LedgerLine[] = view.choices.map((choice) => {
    const goesBack = arrived.get(choice.id)?.returnState === 'sent' ? choice.payNow : 0
    return {
      choiceId: choice.id,
      stillToPay: choice.paidOn === null ? choice.payNow : 0,
      toComeBack:
        goesBack + (view.receipt.groups.toComeBack.find((line) => line.id === choice.id)?.amount ?? 0),
      anyoneCanPay: choice.anyoneCanPay,
    }
  })
  const account = ledgerAccount(rows, lines)
  const standing = new Map(account.running.map((each) => [each.id, each.standing]))
  const labels = new Map(view.choices.map((choice) => [choice.id, choice.label]))
  const seller = [...market.sources.values()].filter((source) => source.kind === 'auction')[0]
  const terms = {
    feePercent: seller?.sellerFeePercent ?? 0,
    shipping: seller?.currency === view.currency ? seller.shippingAmount : 0,
  }
  const { running: _running, byChoice, compared, ...totals } = account
  return {
    currency: view.currency,
    entries: rows
      .map(({ id, day, kind, cash, hours, choiceId, text, correctsId }) => ({
        id,
        day,
        kind,
        cash,
        hours,
        choiceId,
        text,
        correctsId,
        standing: standing.get(id)!,
      }))
      .reverse(),
    totals,
    compared,
    lines: [...byChoice].map(([choiceId, each]) => ({
      choiceId,
      label: labels.get(choiceId) ?? rows.find((row) => row.choiceId === choiceId)!.text,
      ...each,
      takenOut: !labels.has(choiceId),
    })),
    orders: await ordersOf(db, buildId, today),
    resale: resale({
      parts: view.choices
        .filter((choice) => choice.scope !== 'test')
        .flatMap((choice) =>
          choice.parts
            .filter((part) => part.role !== 'extra')
            .map((part) => ({ id: part.id, typical: streetAt(market, part.id, today, view.currency) })),
        ),
      cost: account.inTheEnd,
      hours: account.hours,
      whole: { feePercent: 0, shipping: 0 },
      single: terms,
      wholeFactor: market.assumptions.resale.wholeFactor,
      haggleShare: market.assumptions.resale.haggleShare,
      sells: market.assumptions.resale.sells,
    }),
    deadlines: await deadlines(
      db,
      view.choices.flatMap((choice) => choice.leadId ?? []),
      arrived,
      labels,
      view.wantedBy,
      view.name,
      today,
    ),
  }
}

type EntryRow = typeof ledgerEntries.$inferSelect

/** Things marked as paid before the ledger was kept, or by a build file, have no entry: one is implied, so that the account holds them. */
function withImplied(written: readonly EntryRow[], view: BuildView, buildId: string): EntryRow[] {
  const implied = view.choices
    .filter(
      (choice) =>
        choice.paidOn !== null &&
        choice.kind !== 'owned' &&
        !written.some((row) => row.choiceId === choice.id && row.kind === 'bought'),
    )
    .map((choice): EntryRow => ({
      id: `implied-${choice.id}`,
      buildId,
      day: choice.paidOn!,
      kind: 'bought',
      cash: 0 - choice.payNow,
      hours: 0,
      choiceId: choice.id,
      text: `${choice.label}, marked as paid`,
      correctsId: null,
      createdAt: choice.paidOn!,
    }))
  return [...implied, ...written].sort((a, b) =>
    a.day < b.day ? -1 : a.day > b.day ? 1 : a.id < b.id ? -1 : 1,
  )
}

/** Chosen leads still to be paid, as the orders they make. */
async function ordersOf(db: Database, buildId: string, today: string): Promise<LedgerView['orders']> {
  const build = await findBuild(db, buildId)
  const unpaid = (await choiceRowsOf(db, build)).filter((row) => row.paidOn === null)
  const valued = await valuedLeads(
    db,
    await useMarket(db),
    build,
    today,
    unpaid.flatMap((row) => row.leadId ?? []),
  )
  return openOrders(valued).map(({ leads: inOrder, joined: { landed, saved, freeShippingGap } }) => ({
    source: inOrder[0]!.sourceName,
    currency: inOrder[0]!.lead.currency,
    titles: inOrder.map(({ lead }) => lead.title),
    together: landed.payNow.amount,
    saved,
    freeShippingGap,
    codesUsed: landed.codesUsed,
  }))
}

async function deadlines(
  db: Database,
  leadIds: readonly string[],
  arrived: Awaited<ReturnType<typeof arrivalsOf>>,
  labels: ReadonlyMap<string, string>,
  wantedBy: string | null,
  name: string,
  today: string,
): Promise<LedgerView['deadlines']> {
  const chosen =
    leadIds.length === 0
      ? []
      : await db
          .select({ lead: leads, source: sources.name, paidOn: choices.paidOn })
          .from(leads)
          .innerJoin(sources, eq(sources.id, leads.sourceId))
          .innerJoin(choices, eq(choices.leadId, leads.id))
          .where(and(inArray(leads.id, [...leadIds]), isNull(choices.deletedAt)))
  const claims =
    leadIds.length === 0
      ? []
      : await db
          .select({ rebate: rebates, title: leads.title })
          .from(rebates)
          .innerJoin(leads, eq(leads.id, rebates.leadId))
          .where(and(inArray(rebates.leadId, [...leadIds]), inArray(rebates.state, ['to-claim', 'claimed'])))
  return [
    ...claims
      .filter(({ rebate }) => rebate.expectedBy !== null)
      .map(({ rebate, title }) => ({
        day: rebate.expectedBy!,
        what: `the rebate on ${title} should be here`,
        kind: 'expected' as const,
      })),
    ...claims
      .filter(({ rebate }) => rebate.state === 'to-claim')
      .map(({ rebate, title }) => ({
        day: rebate.claimBy,
        what: `claim the rebate on ${title}`,
        kind: 'claim' as const,
      })),
    ...[...arrived]
      .filter(
        ([, arrival]) =>
          arrival.returnBy !== null && (arrival.returnState === 'to-send' || arrival.returnState === null),
      )
      .map(([choiceId, arrival]) => ({
        day: arrival.returnBy!,
        what: `last day to send back ${labels.get(choiceId) ?? 'a thing'}`,
        kind: 'return' as const,
      })),
    ...chosen
      .filter(({ lead, paidOn }) => lead.endsOn !== null && paidOn === null)
      .map(({ lead, source }) => ({
        day: lead.endsOn!,
        what: `${lead.title} ends at ${source}`,
        kind: 'auction' as const,
      })),
    ...(wantedBy === null ? [] : [{ day: wantedBy, what: `${name} is wanted`, kind: 'wanted' as const }]),
  ]
    .filter((each) => each.day >= today)
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
}

/** The ledger as CSV, oldest first. */
export async function ledgerCsv(db: Database, buildId: string, today: string): Promise<string> {
  const { entries, currency } = await ledgerView(db, buildId, today)
  return csvTable(
    ['date', 'kind', 'what', 'cash', 'currency', 'hours', 'standing'],
    [...entries]
      .reverse()
      .map((entry) => [
        entry.day,
        entry.kind,
        entry.text,
        toDecimal(entry.cash, currency),
        currency,
        entry.hours,
        toDecimal(entry.standing, currency),
      ]),
  )
}
