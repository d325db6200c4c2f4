import { rivalPage, type RivalPage } from '#core/importing/rivalPage'
import { TitleReader } from '#core/market/partsInTitle'
import type { Database } from '../db/client'
import { useMarket } from './market'

/** Reads a prebuilt from the source of a page, by the parts of the library. */
export async function readRivalPage(db: Database, source: string, today: string): Promise<RivalPage> {
  const market = await useMarket(db)
  const library = new Map(market.library.map((part) => [part.id, part]))
  const queries = new Map(
    [...market.queries].filter(([id]) => ['cpu', 'graphics'].includes(library.get(id)?.role ?? '')),
  )
  return rivalPage(source, new TitleReader(queries, today), library)
}
