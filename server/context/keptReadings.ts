import { readFileSync, renameSync, writeFileSync } from 'node:fs'
import { deserialize, serialize } from 'node:v8'
import type { StreetPrice } from '#core/pricing/street/streetPrice'
import type { World } from '../readings/world'

/**
 * Street prices kept in a file beside the database, so that a start need not judge every title again. It is no data: it
 * may be deleted at any time, and one that cannot be read, or was written by another build of Tarvin, is as none. Each
 * bears a tag of all that it was read from: one that has another by now is simply not found.
 */
interface KeptStreet {
  readonly basis: string
  readonly street: Omit<StreetPrice, 'dropped'>
}

interface KeptFile {
  readonly edition: string
  readonly streets: ReadonlyMap<string, KeptStreet>
}

const places = new WeakMap<object, { readonly path: string; readonly edition: string }>()
const keptOf = new WeakMap<World, Map<string, KeptStreet>>()

/** From now on readings of this database are kept in a file; `edition` names the build of Tarvin that reads them. */
export function keepReadingsIn(db: object, path: string, edition: string): void {
  places.set(db, { path, edition })
}

/** Takes over what the file of a database holds, once for its world. */
export function openKept(db: object, world: World): void {
  const place = places.get(db)
  if (!place || keptOf.has(world)) return
  const file = readFile(place.path)
  keptOf.set(world, new Map(file?.edition === place.edition ? file.streets : []))
}

const unsaved = new WeakSet<World>()

/** Whether something was read that the file does not hold yet, by whoever asked for it. */
export const hasUnsaved = (world: World): boolean => unsaved.has(world)

/** What is kept under a key and was read from the same; what was dropped is read again where somebody asks. */
export function findKept(
  world: World,
  key: string,
  basis: string,
  dropped: () => StreetPrice['dropped'],
): StreetPrice | null {
  const kept = keptOf.get(world)?.get(key)
  return kept?.basis === basis ? withDropped(kept.street, dropped) : null
}

export function keep(world: World, key: string, basis: string, street: StreetPrice): StreetPrice {
  const kept = keptOf.get(world)
  if (kept) unsaved.add(world)
  kept?.set(key, { basis, street })
  return street
}

/** Writes the readings of a day and later into the file, and forgets those of days before; a crash leaves the old file. */
export function keepReadings(db: object, world: World, asOf: string): void {
  const place = places.get(db)
  const kept = keptOf.get(world)
  if (!place || !kept) return
  for (const key of kept.keys()) if ((JSON.parse(key) as [string])[0] < asOf) kept.delete(key)
  const streets = new Map(
    [...kept].map(([key, { basis, street }]) => [key, { basis, street: withoutDropped(street) }]),
  )
  const file: KeptFile = { edition: place.edition, streets }
  writeFileSync(`${place.path}.new`, serialize(file))
  renameSync(`${place.path}.new`, place.path)
  unsaved.delete(world)
}

function readFile(path: string): KeptFile | null {
  try {
    const file = deserialize(readFileSync(path)) as KeptFile
    return file.streets instanceof Map ? file : null
  } catch {
    return null
  }
}

/** A reading but for what was dropped, which is not even asked for: of a restored one that would judge every title again. */
function withoutDropped(street: Omit<StreetPrice, 'dropped'>): Omit<StreetPrice, 'dropped'> {
  const names = Object.keys(street).filter((name) => name !== 'dropped') as (keyof typeof street)[]
  return Object.fromEntries(names.map((name) => [name, street[name]])) as unknown as Omit<
    StreetPrice,
    'dropped'
  >
}

/** What was dropped, and why, is read again where somebody asks: few do, and it is long. */
function withDropped(street: Omit<StreetPrice, 'dropped'>, read: () => StreetPrice['dropped']): StreetPrice {
  let dropped: StreetPrice['dropped'] | undefined
  return Object.defineProperties({} as StreetPrice, {
    ...Object.getOwnPropertyDescriptors(street),
    dropped: { enumerable: true, configurable: true, get: () => (dropped ??= read()) },
  })
}
