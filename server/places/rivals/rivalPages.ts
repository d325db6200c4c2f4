import { rivalPage, type RivalPage } from '#core/files/import/rivalPage'
import { TitleReader } from '#core/reading/titles/partsInTitle'
import type { Database } from '#server/db/client'
import { titleQueries, useMarket } from '#server/context/market'

/** Reads a prebuilt from the source of a page, by the parts of the library. */
export async function readRivalPage(db: Database, source: string, today: string): Promise<RivalPage> {
  const market = await useMarket(db)
  const library = new Map(market.library.map((part) => [part.id, part]))
  const queries = new Map(
    [...titleQueries(market)].filter(([id]) => ['cpu', 'graphics'].includes(library.get(id)?.role ?? '')),
  )
  return rivalPage(source, new TitleReader(queries, today), library)
}
