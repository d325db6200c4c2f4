import { readFileSync, renameSync, writeFileSync } from 'node:fs'
import { deserialize, serialize } from 'node:v8'
import { RecordIndex } from '#core/pricing/sieve/recordIndex'
import type { StreetPrice } from '#core/pricing/street/streetPrice'
import type { SoldRecord } from '#core/reading/sales/soldRecord'
import { stateTag } from '#shared/text/stateTag'
import type { Database } from '../db/client'
import type { Market } from './marketState'
import { readingOf } from './readingKey'

/**
 * Street prices kept in a file beside the database, so that a start need not judge every title again. It is no data: it
 * may be deleted at any time, and one that cannot be read, or was written by another build of Tarvin, is as none.
 */

interface KeptFile {
  readonly edition: string
  readonly lastRecord: number
  /** How many records there were: fewer by now means that some were taken back, and that nothing holds. */
  readonly records: number
  /** What each part's reading rests on besides the records; see `basisOf`. */
  readonly bases: ReadonlyMap<string, string>
  readonly readings: ReadonlyMap<string, Omit<StreetPrice, 'dropped'>>
}

const places = new WeakMap<Database, { readonly path: string; readonly edition: string }>()

/** From now on readings of this database are kept in a file; `edition` names the build of Tarvin that reads them. */
export function keepReadingsIn(db: Database, path: string, edition: string): void {
  places.set(db, { path, edition })
}

/** Takes over the readings of the file that still hold: no record came since that could have the part's words. */
export function restoreReadings(db: Database, market: Market, records: readonly SoldRecord[]): void {
  const place = places.get(db)
  const kept = place && readFile(place.path)
  if (!kept || kept.edition !== place.edition) return
  if (records.filter(({ id }) => Number(id) <= kept.lastRecord).length !== kept.records) return
  const came = new RecordIndex(records.filter(({ id }) => Number(id) > kept.lastRecord))
  const holds = new Map<string, boolean>()
  for (const [partId, query] of market.queries)
    holds.set(
      partId,
      kept.bases.get(partId) === basisOf(market, partId) && came.candidates(query.must).length === 0,
    )
  for (const [key, reading] of kept.readings)
    if (holds.get(readingOf(key).partId))
      market.readings.set(
        key,
        withDropped(reading, () => market.judge(key).dropped),
      )
}

/** Writes the readings of a day and later into the file; a crash leaves the old one. */
export function keepReadings(db: Database, market: Market, asOf: string): void {
  const place = places.get(db)
  if (!place) return
  const fresh = [...market.readings].filter(([key]) => readingOf(key).asOf >= asOf)
  const file: KeptFile = {
    edition: place.edition,
    lastRecord: market.lastRecord,
    records: market.index.records.length,
    bases: new Map([...market.queries.keys()].map((partId) => [partId, basisOf(market, partId)])),
    readings: new Map(fresh.map(([key, reading]) => [key, withoutDropped(reading)])),
  }
  writeFileSync(`${place.path}.new`, serialize(file))
  renameSync(`${place.path}.new`, place.path)
}

function readFile(path: string): KeptFile | null {
  try {
    return deserialize(readFileSync(path)) as KeptFile
  } catch {
    return null
  }
}

function basisOf({ queries, overrides, rates }: Market, partId: string): string {
  return stateTag([queries.get(partId), overrides.get(partId) ?? {}, rates])
}

/** A reading but for what was dropped, which is not even asked for: of a restored one that would judge every title again. */
function withoutDropped(reading: StreetPrice): Omit<StreetPrice, 'dropped'> {
  const names = Object.keys(reading).filter((name) => name !== 'dropped') as (keyof StreetPrice)[]
  return Object.fromEntries(names.map((name) => [name, reading[name]])) as unknown as Omit<
    StreetPrice,
    'dropped'
  >
}

/** What was dropped, and why, is read again where somebody asks: few do, and it is long. */
function withDropped(reading: Omit<StreetPrice, 'dropped'>, read: () => StreetPrice['dropped']): StreetPrice {
  let dropped: StreetPrice['dropped'] | undefined
  return {
    ...reading,
    get dropped() {
      return (dropped ??= read())
    },
  }
}
