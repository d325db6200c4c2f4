import { findBuild } from '#server/context/findBuild'
import { and, eq, isNull } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import type {
  opinionSchema,
  ownFigureSchema,
  readSchema,
  recipeSchema,
  waitNoteSchema,
} from '#shared/prices/schemas'
import type { RecipeSettings } from '#shared/prices/queries'
import type { Database } from '#server/db/client'
import type { World } from '#server/readings/world'
import { guideOpinions, ownFigures, priceReads, queryRecipes, waitNotes } from '#server/db/schema/prices'
import { parts } from '#server/db/schema/parts'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'
import { readStreetPrice, setQuery, useMarket } from '#server/context/market'

/** What the builder writes down about prices: dated reads, recipes, figures of their own, opinions, things to wait for. */

async function currencyOf(db: Database, buildId: string): Promise<string> {
  const build = await findBuild(db, buildId)
  return build.currency
}

async function assertPart(db: Database, partId: string): Promise<void> {
  const [part] = await db.select({ id: parts.id }).from(parts).where(eq(parts.id, partId))
  if (!part) throw new CoreError('unknown-part', { id: partId }, 'partId')
}

/** Keeps a read as of today, or as of an earlier day from the records of that time; a second one of a day replaces the first. */
export async function keepRead(
  db: Database,
  buildId: string,
  partId: string,
  { readOn, note }: InferType<typeof readSchema>,
  today: string,
): Promise<void> {
  const day = readOn ?? today
  if (day > today) throw new CoreError('future-date', { day }, 'readOn')
  const [market, currency] = await Promise.all([useMarket(db), currencyOf(db, buildId)])
  const query = market.queries.get(partId)
  if (!query) throw new NotFoundError('part', partId)
  const reading = readStreetPrice(market, partId, day, currency)
  if (!reading.marks || !reading.interval) throw new CoreError('nothing-to-keep', { day }, 'readOn')
  const values = {
    partId,
    readOn: day,
    currency,
    ...reading.marks,
    ...reading.interval,
    kept: reading.kept.length,
    grade: reading.grade,
    query,
    note,
  }
  await db.transaction(async (tx) => {
    await tx
      .delete(priceReads)
      .where(
        and(eq(priceReads.partId, partId), eq(priceReads.readOn, day), eq(priceReads.currency, currency)),
      )
    await tx.insert(priceReads).values(values)
  })
}

export async function setReadDeleted(db: Database, id: string, deletedAt: string | null): Promise<void> {
  const isNumber = /^\d{1,15}$/.test(id)
  const { rowsAffected } = isNumber
    ? await db
        .update(priceReads)
        .set({ deletedAt })
        .where(eq(priceReads.id, Number(id)))
    : { rowsAffected: 0 }
  if (rowsAffected === 0) throw new NotFoundError('saved price', id)
}

/** Kept reads of a part in a currency, newest first. */
export function readsOf({ rows }: World, partId: string, currency: string) {
  return rows.priceReads
    .where('partId', partId)
    .filter((read) => read.currency === currency && read.deletedAt === null)
    .sort((a, b) => (a.readOn < b.readOn ? 1 : a.readOn > b.readOn ? -1 : 0))
}

export async function setOwnFigure(
  db: Database,
  buildId: string,
  partId: string,
  figure: InferType<typeof ownFigureSchema> | null,
  today: string,
): Promise<void> {
  await assertPart(db, partId)
  if (figure === null) {
    await db.delete(ownFigures).where(eq(ownFigures.partId, partId))
    return
  }
  const currency = await currencyOf(db, buildId)
  const amount = parseDecimal(figure.amount, currency, 'amount')
  if (amount <= 0) throw new CoreError('bad-figure', {}, 'amount')
  const values = { partId, amount, currency, note: figure.note, setOn: today }
  await db.insert(ownFigures).values(values).onConflictDoUpdate({ target: ownFigures.partId, set: values })
}

/** Keeps a part's query under a name: everything but its words and facts. */
export async function keepRecipe(
  db: Database,
  { name, partId }: InferType<typeof recipeSchema>,
): Promise<string> {
  const query = (await useMarket(db)).queries.get(partId)
  if (!query) throw new CoreError('unknown-part', { id: partId }, 'partId')
  const { mustNot, conditions, manners, windowDays, halfLifeDays, makes, forgiveSlips, catchShare } = query
  const settings: RecipeSettings = {
    mustNot,
    conditions,
    manners,
    windowDays,
    halfLifeDays,
    ...(makes ? { makes } : {}),
    ...(forgiveSlips === undefined ? {} : { forgiveSlips }),
    ...(catchShare === undefined ? {} : { catchShare }),
  }
  const id = newId(name)
  await db.insert(queryRecipes).values({ id, name, settings })
  return id
}

export async function recipes(db: Database) {
  return db
    .select({ id: queryRecipes.id, name: queryRecipes.name, settings: queryRecipes.settings })
    .from(queryRecipes)
    .where(isNull(queryRecipes.deletedAt))
    .orderBy(queryRecipes.name)
}

/** Uses a recipe on a part: its own words and facts stay, unwanted words of both are joined. */
export async function applyRecipe(db: Database, recipeId: string, partId: string): Promise<void> {
  const [recipe] = await db
    .select()
    .from(queryRecipes)
    .where(and(eq(queryRecipes.id, recipeId), isNull(queryRecipes.deletedAt)))
  if (!recipe) throw new NotFoundError('saved query', recipeId)
  const query = (await useMarket(db)).queries.get(partId)
  if (!query) throw new NotFoundError('part', partId)
  await setQuery(db, partId, {
    ...query,
    ...recipe.settings,
    mustNot: [...new Set([...query.mustNot, ...recipe.settings.mustNot])],
  })
}

export async function setRecipeDeleted(db: Database, id: string, deletedAt: string | null): Promise<void> {
  const { rowsAffected } = await db.update(queryRecipes).set({ deletedAt }).where(eq(queryRecipes.id, id))
  if (rowsAffected === 0) throw new NotFoundError('saved query', id)
}

export async function noteOpinion(
  db: Database,
  opinion: InferType<typeof opinionSchema>,
  today: string,
): Promise<string> {
  await assertPart(db, opinion.partId)
  if (opinion.saidOn > today) throw new CoreError('future-date', { day: opinion.saidOn }, 'saidOn')
  const id = newId(opinion.guide)
  await db.insert(guideOpinions).values({ ...opinion, id })
  return id
}

export async function setOpinionDeleted(db: Database, id: string, deletedAt: string | null): Promise<void> {
  const { rowsAffected } = await db.update(guideOpinions).set({ deletedAt }).where(eq(guideOpinions.id, id))
  if (rowsAffected === 0) throw new NotFoundError('opinion', id)
}

export async function noteToWaitFor(db: Database, note: InferType<typeof waitNoteSchema>): Promise<string> {
  if (note.partId !== null) await assertPart(db, note.partId)
  const id = newId(note.what)
  await db.insert(waitNotes).values({ ...note, id })
  return id
}

export async function setWaitNoteDeleted(db: Database, id: string, deletedAt: string | null): Promise<void> {
  const { rowsAffected } = await db.update(waitNotes).set({ deletedAt }).where(eq(waitNotes.id, id))
  if (rowsAffected === 0) throw new NotFoundError('note', id)
}

/** Notes that concern a part: its own and those of its whole role. */
export function waitNotesFor({ rows }: World, part: { readonly id: string; readonly role: string }) {
  return rows.waitNotes
    .where('deletedAt', null)
    .filter((row) => row.role === part.role && (row.partId === null || row.partId === part.id))
    .sort((a, b) => (a.expectedOn < b.expectedOn ? -1 : a.expectedOn > b.expectedOn ? 1 : 0))
}
