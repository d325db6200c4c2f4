import { partNamed } from '#core/reading/titles/partNamed'
import { AfterCommit } from '#server/db/afterCommit'
import { and, desc, eq, isNull } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { partLabel } from '#core/parts/part'
import { scopeNames } from '#core/ledger/scopes'
import { editionDrift, type EditionContent } from '#core/files/editions/edition'
import { defaultHouseRules, editionFileSchema, type EditionFile } from '#shared/builds/editionFile'
import { toDecimal } from '#core/money/decimal'
import { convertAmount, rateTable } from '#core/money/rates'
import type { EditionsView, RepricedView } from '#shared/builds/views'
import type { Database } from '#server/db/client'
import { editions } from '#server/db/schema/builds'
import { choices } from '#server/db/schema/machine'
import { NotFoundError } from '#server/errors/notFoundError'
import { assertCalculable } from '#server/context/assertCalculable'
import { insertBuild } from './builds'
import { buildView } from './buildView'
import { newId } from '#server/db/ids'
import { useMarket } from '#server/context/market'
import { anyonePrices } from '#server/context/anyone'
import { editionContent, editionNotes } from './editionContent'

/**
 * Freezes a build as it stands: prices, dates, estimates, weighing, open questions. Private notes stay out.
 *
 * @param asOf by the prices of an earlier day; null: today's
 */
export async function freezeEdition(
  db: Database,
  buildId: string,
  name: string,
  today: string,
  asOf: string | null = null,
): Promise<string> {
  const day = asOf ?? today
  if (day > today) throw new CoreError('future-date', { day }, 'asOf')
  const view = await buildView(db, buildId, day)
  const id = newId(name)
  await db.insert(editions).values({
    id,
    buildId,
    name,
    frozenOn: day,
    content: editionContent(view, day, await editionNotes(db, view, day)),
    createdAt: new Date().toISOString(),
  })
  return id
}

export async function editionOf(db: Database, id: string): Promise<EditionContent> {
  const [row] = await db
    .select()
    .from(editions)
    .where(and(eq(editions.id, id), isNull(editions.deletedAt)))
  if (!row) throw new NotFoundError('edition', id)
  return row.content
}

/** The editions of a build, newest first, each with what has changed from it to now. */
export async function editionsView(db: Database, buildId: string, today: string): Promise<EditionsView> {
  const rows = await db
    .select()
    .from(editions)
    .where(and(eq(editions.buildId, buildId), isNull(editions.deletedAt)))
    .orderBy(desc(editions.frozenOn), desc(editions.createdAt))
  const view = await buildView(db, buildId, today)
  const now = editionContent(view, today)
  return {
    now: now.totals,
    editions: rows.map(({ id, name, frozenOn, content }) => ({
      id,
      name,
      frozenOn,
      currency: content.currency,
      totals: content.totals,
      drift: editionDrift(content, now),
    })),
  }
}

export async function driftBetween(db: Database, beforeId: string, afterId: string) {
  return editionDrift(await editionOf(db, beforeId), await editionOf(db, afterId))
}

export async function setEditionDeleted(db: Database, id: string, deletedAt: string | null): Promise<void> {
  const { rowsAffected } = await db.update(editions).set({ deletedAt }).where(eq(editions.id, id))
  if (rowsAffected === 0) throw new NotFoundError('edition', id)
}

/** Reads an edition file. Throws `not-an-edition` with what is wrong and where. */
export function readEditionFile(value: unknown): EditionFile {
  return editionFileSchema.validateSync(value)
}

/**
 * Opens somebody's edition here: a build in the given currency and region, in which every part that is known here is hunted
 * at today's street price, or bought new; what cannot be found is named with what was paid for it there.
 */
export async function openEdition(
  db: Database,
  file: EditionFile,
  { currency, region }: { currency: string; region: string },
  today: string,
): Promise<RepricedView> {
  const market = await useMarket(db)
  const rate = rateTable(market.rates).find(today, file.currency, currency)
  const there = (amount: number | null) =>
    rate === null || amount === null ? null : convertAmount(amount, file.currency, currency, rate)
  const ownOf = (part: EditionFile['lines'][number]['parts'][number]) =>
    market.library.find((each) => each.id === part.id) ??
    partNamed(market.library, `${part.make} ${part.name}`.trim())
  const known = file.lines.flatMap(({ parts }) => parts.flatMap((part) => ownOf(part) ?? []))
  const prices = anyonePrices(
    market,
    { currency, houseRules: { neverUsed: [] } },
    known.map((part) => ({ id: part.id, part, isNew: false })),
    today,
  )
  const lines = file.lines.flatMap((line) =>
    line.parts.map((part) => {
      const own = ownOf(part)
      const price = own ? (prices.get(own.id) ?? null) : null
      return {
        label: own ? partLabel(own) : `${part.make} ${part.name}`.trim(),
        partId: own?.id ?? null,
        price,
        scope: line.scope,
        reason: line.reason,
        there: line.parts.length === 1 ? there(line.anyoneCanPay ?? line.payNow) : null,
      }
    }),
  )
  if (lines.length === 0) throw new CoreError('empty-edition', {}, 'lines')
  const found = lines.filter((line) => line.partId !== null && line.price !== null)
  const total = found.reduce((sum, line) => sum + line.price!, 0)
  const buildId = await db.transaction(async (tx) => {
    const budget = toDecimal(total, currency)
    const id = await insertBuild(
      tx,
      {
        name: file.name,
        purpose: file.purpose ?? '',
        currency,
        region,
        budget,
        budgetScope: 'everything',
        stretch: budget,
        wantedBy: null,
        privateNote: '',
        saleText: '',
        needs: [],
        targets: [],
        houseRules: defaultHouseRules(),
      },
      today,
    )
    for (const [position, line] of found.entries()) {
      await tx.insert(choices).values({
        id: newId('choice'),
        buildId: id,
        position,
        kind: 'hunt',
        partId: line.partId,
        limit: line.price,
        scope: line.scope === scopeNames.ready ? 'ready' : line.scope === scopeNames.test ? 'test' : 'core',
        reason: (line.reason ?? '').slice(0, 300),
      })
    }
    await assertCalculable(tx, id, today, 'currency')
    return id
  })
  return {
    buildId,
    currency,
    total,
    lines: lines.map(({ label, price, there: elsewhere }) => ({ label, price, there: elsewhere })),
    notFound: lines.filter((line) => line.price === null).map((line) => line.label),
  }
}

/** The same as the answer to a change. */
export const editionsAfter = (buildId: string, today: string) =>
  new AfterCommit((after) => editionsView(after, buildId, today))
