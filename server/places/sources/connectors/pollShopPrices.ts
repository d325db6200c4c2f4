import { decodeText } from '#core/reading/tables/decodeText'
import type { PollReport } from '#shared/sources/polls'
import { mustBeOk } from '#server/outside/guardedFetch'
import { importShopPrices } from '#server/places/prices/importShopPrices'
import type { PollContext } from './pollContext'

/** Shop prices from a CSV at an address, through the same import as a file; lines that name no source are this one's. */
export async function pollShopPrices({
  database,
  connector,
  source,
  outside,
  today,
}: PollContext): Promise<PollReport> {
  const { bytes } = mustBeOk(await outside(connector.url))
  const report = await importShopPrices(database.db, decodeText(bytes).text, {
    currency: source.currency,
    today,
    sourceId: source.id,
  })
  return {
    ...report,
    changed: 0,
    vanished: 0,
    problems: report.problems.map(({ line, reason }) => ({ where: `line ${line}`, reason })),
  }
}
