import { appendFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test, vi } from 'vitest'
import { keepReadings, keepReadingsIn } from '#server/context/keptReadings'
import { readingKey } from '#server/context/readingKey'
import { marketReplaced, readStreetPrice, useMarket } from '#server/context/market'
import type { Database, OpenDatabase } from '#server/db/client'
import { importRecordsText } from './importText'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'
import { temporaryFolder } from './testDatabase'

/** Street prices kept beside the database are as good as read anew, or are not taken. */
const folder = temporaryFolder()
const path = join(folder, 'kept.readings')
let market: MarketWithBuild
let db: Database
beforeAll(async () => {
  market = await marketWithBuild()
  db = market.db
  keepReadingsIn(db, path, 'one')
})
afterAll(async () => {
  await market.close()
  rmSync(folder, { recursive: true, force: true })
})

const all = async () => {
  const loaded = await useMarket(db)
  const restored = loaded.readings.size
  const read = [...loaded.queries.keys()].map((id) => readStreetPrice(loaded, id, today, 'CAD'))
  return { loaded, restored, read: JSON.parse(JSON.stringify(read)) as unknown[] }
}

test('a start after a start takes over every reading, what was dropped included', async () => {
  const first = await all()
  expect(first.restored).toBe(0)
  keepReadings(db, first.loaded, today)
  marketReplaced(db)
  const second = await all()
  expect(second.restored).toBe(first.read.length)
  expect(second.read).toEqual(first.read)
})

test('keeping restored readings again judges no title: that stopped everybody for minutes after a one-line import', async () => {
  const { loaded } = await all()
  keepReadings(db, loaded, today)
  marketReplaced(db)
  const restored = await useMarket(db)
  expect(restored.readings.size).toBeGreaterThan(0)
  const judged = vi.spyOn(restored, 'judge')
  keepReadings(db, restored, today)
  expect(judged).not.toHaveBeenCalled()
})

test('where records were taken back nothing holds', async () => {
  const { loaded } = await all()
  keepReadings(db, loaded, today)
  const { rows } = await market.client.execute('SELECT id FROM sold_records ORDER BY id LIMIT 1')
  const row = (await market.client.execute(`SELECT * FROM sold_records WHERE id = ${Number(rows[0]!.id)}`))
    .rows[0]!
  await market.client.execute(`DELETE FROM sold_records WHERE id = ${Number(rows[0]!.id)}`)
  marketReplaced(db)
  expect((await all()).restored).toBe(0)
  const columns = Object.keys(row)
  await market.client.execute({
    sql: `INSERT INTO sold_records (${columns.join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
    args: columns.map((column) => row[column]!),
  })
  marketReplaced(db)
})

test(
  'a record that came since is read; so are all where another build of Tarvin wrote ' +
    'them, or the file is cut off',
  async () => {
    const { loaded } = await all()
    const [partId] = [...loaded.queries].find(([, query]) => query.must.length > 0)!
    await importRecordsText(
      { db, client: market.client } as OpenDatabase,
      `id,source,title,price,date\nnew-1,Barnstall,${loaded.queries.get(partId)!.must.join(' ')} tested,91.00,2026-10-30`,
    )
    marketReplaced(db)
    const after = await useMarket(db)
    expect(after.readings.has(readingKey(partId, today, 'CAD'))).toBe(false)
    expect(after.readings.size).toBeGreaterThan(0)

    keepReadingsIn(db, path, 'two')
    marketReplaced(db)
    expect((await all()).restored).toBe(0)
    keepReadingsIn(db, path, 'one')
    writeFileSync(path, 'cut off')
    appendFileSync(path, '\0')
    marketReplaced(db)
    expect((await all()).restored).toBe(0)
  },
)
