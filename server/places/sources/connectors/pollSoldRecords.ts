import { decodeText } from '#core/reading/tables/decodeText'
import { CoreError } from '#core/errors/coreError'
import type { PollReport } from '#shared/sources/polls'
import { mustBeOk } from '#server/outside/guardedFetch'
import { importSoldRecords } from '#server/places/prices/importRecords'
import type { PollContext } from './pollContext'
import { mannerOfSource } from './mannerOfSource'

/** Sold records from a CSV at an address, through the same import as a file. */
export async function pollSoldRecords({
  database,
  connector,
  source,
  outside,
  today,
}: PollContext): Promise<PollReport> {
  const { bytes } = mustBeOk(await outside(connector.url))
  const report = await importSoldRecords(database, {
    name: connector.url,
    text: decodeText(bytes).text,
    defaults: {
      source: source.name,
      currency: source.currency,
      manner: mannerOfSource(source.kind),
      condition: 'used',
      today,
    },
  })
  if (report === 'cancelled') throw new CoreError('import-cancelled', {})
  return {
    ...report,
    changed: 0,
    vanished: 0,
    problems: report.problems.map(({ line, reason }) => ({ where: `line ${line}`, reason })),
  }
}
