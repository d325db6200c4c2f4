import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { entryKinds, signOf } from '#core/ledger/ledger'
import { formatAmount } from '#core/money/formatAmount'
import { parseDecimal } from '#core/money/decimal'
import type { entrySchema } from '#shared/ledger/schemas'
import type { Database, Queryable } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { ledgerEntries } from '#server/db/schema/ledger'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'
import { findBuild } from '#server/context/findBuild'

type NewEntry = Pick<typeof ledgerEntries.$inferInsert, 'buildId' | 'day' | 'kind' | 'cash' | 'text'> &
  Partial<
    Pick<
      typeof ledgerEntries.$inferInsert,
      'hours' | 'scope' | 'lineId' | 'itemId' | 'actionId' | 'correctsId'
    >
  >

/** Writes an entry. Ids count up, so that entries of one day stay in the order in which they were made. */
export async function writeEntry(tx: Queryable, entry: NewEntry, today: string): Promise<string> {
  const rows = await tx
    .select({ id: ledgerEntries.id })
    .from(ledgerEntries)
    .where(eq(ledgerEntries.buildId, entry.buildId))
  const id = `${String(rows.length).padStart(6, '0')}-${newId(entry.kind)}`
  await tx.insert(ledgerEntries).values({ hours: 0, ...entry, id, createdAt: today })
  return id
}

/** An entry by hand: a fee, travel, hours, something sold, money back; or one that corrects another, of its kind. */
export async function addEntry(
  db: Database,
  buildId: string,
  input: InferType<typeof entrySchema>,
  today: string,
): Promise<string> {
  if (input.day > today) throw new CoreError('future-date', { day: input.day }, 'day')
  return db.transaction(async (tx) => {
    const build = await findBuild(tx, buildId)
    if (build.variantOf !== null) throw new CoreError('variant-ledger', {}, 'build')
    const amount = parseDecimal(input.amount, build.currency, 'amount')
    const corrected = input.correctsId === null ? null : await findEntry(tx, buildId, input.correctsId)
    const kind = corrected?.kind ?? input.kind
    if (kind === 'hours' ? input.hours <= 0 && !corrected : corrected ? amount === 0 : amount <= 0)
      throw kind === 'hours'
        ? new CoreError('bad-hours', {}, 'hours')
        : new CoreError('bad-amount', { entry: entryKinds[kind] }, 'amount')
    const cash = kind === 'hours' ? 0 : corrected ? amount : signOf(kind) * amount
    return writeEntry(
      tx,
      {
        buildId,
        day: input.day,
        kind,
        cash,
        hours: kind === 'hours' ? input.hours : 0,
        text: input.text,
        scope: corrected?.scope ?? 'core',
        correctsId: input.correctsId,
      },
      today,
    )
  })
}

async function findEntry(tx: Queryable, buildId: string, id: string) {
  const [entry] = await tx.select().from(ledgerEntries).where(eq(ledgerEntries.id, id))
  if (entry?.buildId !== buildId) throw new CoreError('unknown-entry', {}, 'correctsId')
  refuseOfAction(entry)
  return entry
}

/** What an action wrote is taken back with the action, so that its rows go back too. */
function refuseOfAction({ actionId, lineId }: typeof ledgerEntries.$inferSelect): void {
  if (actionId !== null || lineId !== null) throw new CoreError('of-an-action', {}, 'id')
}

/** Takes an entry back by one of the opposite amount; both stay. */
export async function reverseEntry(db: Database, id: string, today: string): Promise<string> {
  return db.transaction(async (tx) => {
    const [found] = await tx
      .select({ entry: ledgerEntries, currency: builds.currency })
      .from(ledgerEntries)
      .innerJoin(builds, eq(builds.id, ledgerEntries.buildId))
      .where(eq(ledgerEntries.id, id))
    if (!found) throw new NotFoundError('entry', id)
    const [already] = await tx
      .select({ id: ledgerEntries.id })
      .from(ledgerEntries)
      .where(eq(ledgerEntries.correctsId, id))
    if (already) throw new CoreError('corrected', {}, 'id')
    refuseOfAction(found.entry)
    const { kind, cash, hours, text, buildId, scope } = found.entry
    // of the same kind, so that it weighs against the same figures
    await writeEntry(
      tx,
      {
        buildId,
        day: today,
        kind,
        cash: 0 - cash,
        hours: 0 - hours,
        scope,
        correctsId: id,
        text: `undoes: ${text}${cash === 0 ? '' : `, ${formatAmount(cash, found.currency)}`}`,
      },
      today,
    )
    return buildId
  })
}
