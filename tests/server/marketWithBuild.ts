import { rmSync } from 'node:fs'
import { join } from 'node:path'
import type { Client } from '@libsql/client'
import { briefSchema } from '#shared/brief/schemas'
import { librarySchema } from '#shared/parts/libraryFile'
import type { Database } from '#server/db/client'
import { createBuild } from '#server/places/builds/builds'
import { importLibrary } from '#server/places/parts/importLibrary'
import { importRecordsText } from './importText'
import { openTestDatabase, temporaryFolder } from './testDatabase'

export const today = '2026-10-31'

/**
 * A fresh database file with a small market (a yard without protection, a shop with 13 % tax and 9.00 shipping up to
 * 75.00) and one build.
 */
export interface MarketWithBuild {
  readonly db: Database
  readonly client: Client
  readonly file: string
  readonly build: string
  close(): Promise<void>
}

/** A small market as a library file. */
export const smallLibrary = librarySchema.validateSync({
  format: 'tarvin-library',
  version: '1',
  sources: [
    {
      id: 'yard',
      name: 'Barnstall',
      kind: 'classifieds',
      currency: 'CAD',
      taxPercent: 0,
      taxOnShipping: false,
      shipping: { kind: 'none' },
      protection: 'none',
    },
    {
      id: 'shop',
      name: 'Pantry',
      kind: 'shop',
      currency: 'CAD',
      taxPercent: 13,
      taxOnShipping: false,
      shipping: { kind: 'per-order', amount: '9.00', freeFrom: '75.00' },
      protection: 'warranty',
    },
  ],
  parts: [
    { id: 'card', role: 'graphics', make: 'Murrowdun', name: 'Tarn 640 8 GB', facts: { graphicsIndex: 100 } },
    {
      id: 'better',
      role: 'graphics',
      make: 'Murrowdun',
      name: 'Tarn 660 10 GB',
      facts: { graphicsIndex: 128 },
    },
    { id: 'board', role: 'motherboard', make: 'Northpine', name: 'Fell B2', facts: {} },
  ],
})
const sales = (title: string, from: number) =>
  Array.from(
    { length: 12 },
    (_, i) => `${title}${i},Gavelry,${title} number ${i},${from + i}.00,2026-10-${10 + i}`,
  )
/** Sold records of its card and board, as a CSV. */
export const smallRecords = [
  'id,source,title,price,date',
  ...sales('Murrowdun Tarn 640 8GB', 125),
  ...sales('Northpine Fell B2', 60),
].join('\n')

/** @param empty without library, records and build: what another machine looks like */
export async function marketWithBuild({ empty = false } = {}): Promise<MarketWithBuild> {
  const folder = temporaryFolder()
  process.env.TARVIN_DATABASE_URL = `file:${join(folder, 'leads.db')}`
  const database = await openTestDatabase(join(folder, 'leads.db'))
  const close = async () => {
    database.client.close()
    rmSync(folder, { recursive: true, force: true })
  }
  const place = { db: database.db, client: database.client, file: database.file!, close }
  if (empty) return { ...place, build: '' }
  await importLibrary(database.db, smallLibrary)
  await importRecordsText(database, smallRecords)
  const build = await createBuild(
    database.db,
    briefSchema.validateSync({ name: 'Couch', currency: 'CAD', budget: '400.00', stretch: '450.00' }),
    today,
  )
  return { ...place, build }
}
