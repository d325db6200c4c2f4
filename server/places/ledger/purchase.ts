import { and, desc, eq, isNull } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { arrivalChecklist, returnDays } from '#core/ledger/arrival'
import { paidByChoice } from '#core/ledger/ledger'
import { parseDecimal, toDecimal } from '#core/money/decimal'
import { convertAmount, rateTable } from '#core/money/rates'
import { partLabel } from '#core/parts/part'
import { addDays } from '#core/time/calendarDate'
import type { arrivalSchema, paymentSchema, rebateStepSchema, returnSchema } from '#shared/ledger/schemas'
import type { choicePatchSchema } from '#shared/machine/schemas'
import type { PurchaseView } from '#shared/ledger/views'
import type { Database, Queryable } from '#server/db/client'
import { arrivals, ledgerEntries } from '#server/db/schema/ledger'
import { builds } from '#server/db/schema/builds'
import { choices } from '#server/db/schema/machine'
import { leads, leadThings, rebates } from '#server/db/schema/leads'
import { parts } from '#server/db/schema/parts'
import { sources } from '#server/db/schema/sources'
import { NotFoundError } from '#server/errors/notFoundError'
import { assertCalculable } from '#server/context/assertCalculable'
import { changeChoice } from '../machine/choices'
import { freezeForecasts } from '../bench/forecasts'
import { buildView } from '../builds/buildView'
import { newId } from '#server/db/ids'
import { useMarket } from '#server/context/market'
import { valuedLeads } from '#server/context/valuedLeads'
import { arrivalsOf } from '#server/context/arrivals'
import { shelveLeftovers, unshelveLeftovers } from './leftovers'
import { writeEntry } from './ledgerEntries'

/** A lead becomes a payment, an arrival, sometimes a return; each step writes the ledger in the same transaction. */

async function choiceRow(tx: Queryable, id: string) {
  const [row] = await tx
    .select({ choice: choices, build: builds })
    .from(choices)
    .innerJoin(builds, eq(builds.id, choices.buildId))
    .where(eq(choices.id, id))
  if (!row) throw new NotFoundError(`there is no choice "${id}"`)
  return row
}

async function labelOf(
  db: Database,
  buildId: string,
  choiceId: string,
  today: string,
): Promise<{ label: string; payNow: number }> {
  const found = (await buildView(db, buildId, today)).choices.find((choice) => choice.id === choiceId)
  return { label: found?.label ?? 'a thing', payNow: found?.payNow ?? 0 }
}

/** Net cash that has left for a choice so far. */
async function paidFor(tx: Queryable, choiceId: string): Promise<number> {
  return (
    paidByChoice(await tx.select().from(ledgerEntries).where(eq(ledgerEntries.choiceId, choiceId))).get(
      choiceId,
    ) ?? 0
  )
}

/** Pays for a chosen thing what was agreed. */
export async function payFor(
  db: Database,
  choiceId: string,
  { day, amount }: InferType<typeof paymentSchema>,
  today: string,
): Promise<string> {
  if (day > today) throw new CoreError('bad-date', `${day} is in the future`, 'day')
  const { choice, build } = await choiceRow(db, choiceId)
  if (choice.kind === 'owned')
    throw new CoreError('owned', 'a thing from the shelf is not paid for', 'choice')
  if (choice.paidOn !== null)
    throw new CoreError('paid', 'this is paid already; correct the entry in the ledger', 'choice')
  const cash = parseDecimal(amount, build.currency, 'amount')
  const view = await buildView(db, build.id, today)
  const chosen = view.choices.find((each) => each.id === choiceId)
  const decidesFrames =
    chosen?.roles.some((role) => role === 'cpu' || role === 'graphics' || role === 'donor') === true
  const [bought] =
    choice.leadId === null ? [] : await valuedLeads(db, await useMarket(db), build, today, [choice.leadId])
  await db.transaction(async (tx) => {
    if (bought) await shelveLeftovers(tx, choiceId, bought, build.currency)
    await tx.update(choices).set({ paidOn: day }).where(eq(choices.id, choiceId))
    await writeEntry(
      tx,
      { buildId: build.id, day, kind: 'bought', cash: 0 - cash, choiceId, text: chosen?.label ?? 'a thing' },
      today,
    )
    if (decidesFrames) await freezeForecasts(tx, view, day)
    await assertCalculable(tx, build.id, today, 'amount')
  })
  return build.id
}

/** Takes a payment back: the entry stays, one of the opposite amount is written. */
export async function unpay(db: Database, choiceId: string, today: string): Promise<string> {
  const { choice, build } = await choiceRow(db, choiceId)
  if (choice.paidOn === null) throw new CoreError('not-paid', 'this is not paid', 'choice')
  const { label } = await labelOf(db, build.id, choiceId, today)
  await db.transaction(async (tx) => {
    const paid = await paidFor(tx, choiceId)
    await tx.update(choices).set({ paidOn: null }).where(eq(choices.id, choiceId))
    await unshelveLeftovers(tx, choiceId, today)
    if (paid !== 0)
      await writeEntry(
        tx,
        {
          buildId: build.id,
          day: today,
          kind: 'correction',
          cash: paid,
          choiceId,
          text: `not paid after all: ${label}`,
        },
        today,
      )
  })
  return build.id
}

/** Pays what the choice costs at the till; what the word "paid" beside a choice does. */
export async function payAtTill(db: Database, choiceId: string, day: string, today: string): Promise<string> {
  const { build } = await choiceRow(db, choiceId)
  const { payNow } = await labelOf(db, build.id, choiceId, today)
  return payFor(db, choiceId, { day, amount: toDecimal(payNow, build.currency) }, today)
}

/** Changes a choice, or pays for it, or takes the payment back: one of them at a time, so that none is left half done. */
export async function stepChoice(
  db: Database,
  choiceId: string,
  { paidOn, ...change }: InferType<typeof choicePatchSchema>,
  today: string,
): Promise<string> {
  if (paidOn === undefined) return changeChoice(db, choiceId, change, today)
  if (Object.values(change).some((value) => value !== undefined))
    throw new CoreError(
      'one-at-a-time',
      'a payment is noted by itself; send the other changes apart',
      'paidOn',
    )
  return paidOn === null ? unpay(db, choiceId, today) : payAtTill(db, choiceId, paidOn, today)
}

/** Notes what came out of the box. A found identity stands in the machine from then on. */
export async function noteArrival(
  db: Database,
  choiceId: string,
  input: InferType<typeof arrivalSchema>,
  today: string,
): Promise<string> {
  if (input.day > today) throw new CoreError('bad-date', `${input.day} is in the future`, 'day')
  const { choice, build } = await choiceRow(db, choiceId)
  if (choice.paidOn === null) throw new CoreError('not-paid', 'what is not bought cannot arrive', 'choice')
  if (input.foundPartId !== null) {
    const [found] = await db.select({ role: parts.role }).from(parts).where(eq(parts.id, input.foundPartId))
    if (!found)
      throw new CoreError('unknown-part', `"${input.foundPartId}" is not in the parts library`, 'foundPartId')
    const listed =
      (await buildView(db, build.id, today)).choices.find((each) => each.id === choiceId)?.parts ?? []
    if (!listed.some((part) => part.role === found.role))
      throw new CoreError('other-role', 'what was found has another role than anything listed', 'foundPartId')
  }
  await db.transaction(async (tx) => {
    await tx.insert(arrivals).values({
      ...input,
      checks: (input.checks ?? []) as string[],
      id: newId('arrival'),
      choiceId,
      returnState: input.verdict === 'faulty' ? 'to-send' : null,
      createdAt: today,
    })
    await assertCalculable(tx, build.id, today, 'foundPartId')
  })
  return build.id
}

/** Sends a thing back step by step; refunded, the money comes back and the thing leaves the build. */
export async function stepReturn(
  db: Database,
  choiceId: string,
  { state, day, amount }: InferType<typeof returnSchema>,
  today: string,
): Promise<string> {
  if (day > today) throw new CoreError('bad-date', `${day} is in the future`, 'day')
  const { build } = await choiceRow(db, choiceId)
  const arrival = (await arrivalsOf(db, [choiceId])).get(choiceId)
  if (!arrival) throw new CoreError('not-arrived', 'what has not arrived cannot go back', 'choice')
  if (arrival.returnState === 'refunded')
    throw new CoreError('refunded', 'the money is back already', 'state')
  const { label } = await labelOf(db, build.id, choiceId, today)
  await db.transaction(async (tx) => {
    await tx.update(arrivals).set({ returnState: state }).where(eq(arrivals.id, arrival.id))
    if (state !== 'refunded') return
    const paid = await paidFor(tx, choiceId)
    const back = amount === null ? paid : parseDecimal(amount, build.currency, 'amount')
    if (back > paid)
      throw new CoreError(
        'too-much',
        `only ${toDecimal(paid, build.currency)} ${build.currency} was paid for it`,
        'amount',
      )
    await writeEntry(
      tx,
      { buildId: build.id, day, kind: 'refunded', cash: back, choiceId, text: label },
      today,
    )
    await unshelveLeftovers(tx, choiceId, today)
    await tx.update(choices).set({ deletedAt: day }).where(eq(choices.id, choiceId))
  })
  return build.id
}

/** Moves a rebate on; paid, the money stands in the ledger of the build that bought it. */
export async function stepRebate(
  db: Database,
  rebateId: string,
  { state, day }: InferType<typeof rebateStepSchema>,
  today: string,
): Promise<string | null> {
  if (day > today) throw new CoreError('bad-date', `${day} is in the future`, 'day')
  const [row] = await db
    .select({ rebate: rebates, lead: leads })
    .from(rebates)
    .innerJoin(leads, eq(leads.id, rebates.leadId))
    .where(eq(rebates.id, rebateId))
  if (!row) throw new NotFoundError(`there is no rebate "${rebateId}"`)
  const [bought] = await db
    .select({ choice: choices, build: builds })
    .from(choices)
    .innerJoin(builds, eq(builds.id, choices.buildId))
    .where(and(eq(choices.leadId, row.lead.id), isNull(choices.deletedAt)))
  if (state === 'paid' && bought?.choice.paidOn === undefined)
    throw new CoreError('not-paid', 'a rebate is paid only on something bought', 'state')
  if (state === 'paid' && bought?.choice.paidOn === null)
    throw new CoreError('not-paid', 'a rebate is paid only on something bought', 'state')
  const market = await useMarket(db)
  await db.transaction(async (tx) => {
    await tx.update(rebates).set({ state }).where(eq(rebates.id, rebateId))
    if (!bought || state === row.rebate.state) return
    const rate = rateTable(market.rates).rateOn(day, row.lead.currency, bought.build.currency)
    const amount =
      row.lead.currency === bought.build.currency
        ? row.rebate.amount
        : convertAmount(row.rebate.amount, row.lead.currency, bought.build.currency, rate)
    const entry = {
      buildId: bought.build.id,
      day,
      choiceId: bought.choice.id,
      text: `rebate on ${row.lead.title}`,
    }
    if (state === 'paid') await writeEntry(tx, { ...entry, kind: 'rebate', cash: amount }, today)
    else if (row.rebate.state === 'paid')
      await writeEntry(
        tx,
        { ...entry, kind: 'rebate', cash: 0 - amount, text: `not paid after all: ${entry.text}` },
        today,
      )
  })
  return bought?.build.id ?? null
}

/** How far a choice is. */
export async function purchaseView(db: Database, choiceId: string, today: string): Promise<PurchaseView> {
  const { choice, build } = await choiceRow(db, choiceId)
  const view = (await buildView(db, build.id, today)).choices.find((each) => each.id === choiceId)
  const arrival = (await arrivalsOf(db, [choiceId])).get(choiceId)
  const [found] = arrival?.foundPartId
    ? await db.select().from(parts).where(eq(parts.id, arrival.foundPartId))
    : []
  const rebateRows =
    choice.leadId === null
      ? []
      : await db
          .select()
          .from(rebates)
          .where(eq(rebates.leadId, choice.leadId))
          .orderBy(desc(rebates.claimBy))
  const [source] =
    choice.leadId === null
      ? []
      : await db
          .select({ protection: sources.protection, currency: leads.currency })
          .from(leads)
          .innerJoin(sources, eq(sources.id, leads.sourceId))
          .where(eq(leads.id, choice.leadId))
  const things =
    choice.leadId === null
      ? []
      : await db
          .select({ role: parts.role })
          .from(leadThings)
          .innerJoin(parts, eq(parts.id, leadThings.partId))
          .where(eq(leadThings.leadId, choice.leadId))
  const days = source ? returnDays(source.protection) : 0
  return {
    choiceId,
    paidOn: choice.paidOn,
    paid: await paidFor(db, choiceId),
    checklist: arrivalChecklist(things.length > 0 ? things.map((thing) => thing.role) : (view?.roles ?? [])),
    arrival: arrival
      ? {
          day: arrival.day,
          verdict: arrival.verdict,
          foundPartId: arrival.foundPartId,
          foundName: found ? partLabel(found) : null,
          checks: arrival.checks,
          note: arrival.note,
          returnBy: arrival.returnBy,
          returnState: arrival.returnState,
        }
      : null,
    rebates: rebateRows.map(({ id, kind, amount, claimBy, state }) => ({
      id,
      kind,
      amount,
      currency: source?.currency ?? build.currency,
      claimBy,
      state,
    })),
    returnBy: days === 0 ? null : addDays(arrival?.day ?? today, days),
  }
}
