import { findBuild } from '#server/context/findBuild'
import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { entryKinds } from '#core/ledger/ledger'
import { formatAmount } from '#core/money/formatAmount'
import { parseDecimal } from '#core/money/decimal'
import type { entrySchema } from '#shared/ledger/schemas'
import type { Database, Queryable } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { ledgerEntries } from '#server/db/schema/ledger'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'

type NewEntry = Pick<typeof ledgerEntries.$inferInsert, 'buildId' | 'day' | 'kind' | 'cash' | 'text'> & {
  choiceId?: string | null
  hours?: number
  correctsId?: string | null
}

/** Writes an entry. Ids count up, so that entries of one day stay in the order in which they were made. */
export async function writeEntry(tx: Queryable, entry: NewEntry, today: string): Promise<string> {
  const rows = await tx
    .select({ id: ledgerEntries.id })
    .from(ledgerEntries)
    .where(eq(ledgerEntries.buildId, entry.buildId))
  const id = `${String(rows.length).padStart(6, '0')}-${newId(entry.kind)}`
  await tx.insert(ledgerEntries).values({
    ...entry,
    id,
    hours: entry.hours ?? 0,
    choiceId: entry.choiceId ?? null,
    correctsId: entry.correctsId ?? null,
    createdAt: today,
  })
  return id
}

/** An entry by hand: a fee, travel, hours, something sold, or a correction of another entry, which itself stays. */
export async function addEntry(
  db: Database,
  buildId: string,
  input: InferType<typeof entrySchema>,
  today: string,
): Promise<string> {
  if (input.day > today) throw new CoreError('bad-date', `${input.day} is in the future`, 'day')
  return db.transaction(async (tx) => {
    const build = await findBuild(tx, buildId)
    const amount = parseDecimal(input.amount, build.currency, 'amount')
    const { sign } = entryKinds[input.kind]
    if (sign !== 0 && amount <= 0)
      throw new CoreError(
        'bad-amount',
        `an amount ${entryKinds[input.kind].name} must be more than zero`,
        'amount',
      )
    if (input.kind === 'hours' && input.hours <= 0)
      throw new CoreError('bad-hours', 'write how many hours', 'hours')
    const [corrected] =
      input.correctsId === null
        ? []
        : await tx.select().from(ledgerEntries).where(eq(ledgerEntries.id, input.correctsId))
    if (input.correctsId !== null && corrected?.buildId !== buildId)
      throw new CoreError('unknown-entry', 'the entry to be corrected is not in this ledger', 'correctsId')
    const cash = input.kind === 'hours' ? 0 : sign === 0 ? amount : sign * amount
    return writeEntry(
      tx,
      {
        buildId,
        day: input.day,
        kind: input.kind,
        cash,
        hours: input.kind === 'hours' ? input.hours : 0,
        text: input.text,
        choiceId: corrected?.choiceId ?? null,
        correctsId: input.correctsId,
      },
      today,
    )
  })
}

/** Takes an entry back by one of the opposite amount; both stay. */
export async function reverseEntry(db: Database, id: string, today: string): Promise<string> {
  return db.transaction(async (tx) => {
    const [entry] = await tx
      .select({ entry: ledgerEntries, currency: builds.currency })
      .from(ledgerEntries)
      .innerJoin(builds, eq(builds.id, ledgerEntries.buildId))
      .where(eq(ledgerEntries.id, id))
    if (!entry) throw new NotFoundError(`there is no entry "${id}"`)
    const [already] = await tx
      .select({ id: ledgerEntries.id })
      .from(ledgerEntries)
      .where(eq(ledgerEntries.correctsId, id))
    if (already) throw new CoreError('corrected', 'this entry has been corrected already', 'id')
    const { kind, cash, hours, text, choiceId, buildId } = entry.entry
    if (kind === 'bought')
      throw new CoreError(
        'bought',
        'take the payment back beside the thing itself, in Machine: "not paid"',
        'id',
      )
    // of the same kind, so that it weighs against the same figures
    await writeEntry(
      tx,
      {
        buildId,
        day: today,
        kind,
        cash: 0 - cash,
        hours: 0 - hours,
        choiceId,
        correctsId: id,
        text: `takes back: ${text}${cash === 0 ? '' : `, ${formatAmount(cash, entry.currency)}`}`,
      },
      today,
    )
    return buildId
  })
}
