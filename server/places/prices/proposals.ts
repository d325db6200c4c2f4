import { desc, eq } from 'drizzle-orm'
import { salesOf } from '#core/pricing/proposals/salesOf'
import { TitleReader } from '#core/reading/titles/partsInTitle'
import { useMarket } from '#server/context/market'
import { toSoldRecord } from '#server/readings/world'
import type { Database } from '#server/db/client'
import { soldRecords } from '#server/db/schema/prices'
import { imports } from '#server/db/schema/sources'
import type { Proposals } from '#shared/prices/proposals'
import { NotFoundError } from '#server/errors/notFoundError'

/** As many of the newest titles are looked at: enough for what sells, quick enough to wait for. */
const mostTitles = 2000

/** What the past sales of an import are of: parts that could be made of titles which belong to none. */
export async function proposalsOf(
  db: Database,
  importId: number,
  today: string,
  currency: string,
): Promise<Proposals> {
  const [known] = await db.select({ id: imports.id }).from(imports).where(eq(imports.id, importId))
  if (!known) throw new NotFoundError('import', importId)
  const rows = await db
    .select()
    .from(soldRecords)
    .where(eq(soldRecords.importId, importId))
    .orderBy(desc(soldRecords.soldOn))
    .limit(mostTitles)
  const market = await useMarket(db)
  const titles = rows.map(({ title }) => title)
  const sold = rows.map((row, at) => ({ ...toSoldRecord(row), id: String(at) }))
  const { library, queries } = market
  const reader = new TitleReader(queries, today)
  const sales = salesOf(titles, sold, { library, today, currency, reader })
  return {
    titles,
    sales: sales.filter(({ partId }) => partId === null),
    looked: rows.length,
    of: await db.$count(soldRecords, eq(soldRecords.importId, importId)),
  }
}
