import { appendFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { keepReadings, keepReadingsIn, hasUnsaved } from '#server/context/keptReadings'
import { readStreetPrice, useMarket } from '#server/context/market'
import type { Database, OpenDatabase } from '#server/db/client'
import { workedOut } from '#server/readings/reading'
import { forgetWorld } from '#server/readings/useWorld'
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
  forgetWorld(db)
})
afterAll(async () => {
  await market.close()
  rmSync(folder, { recursive: true, force: true })
})

/** Reads every part, and says how many were judged for it. */
const all = async () => {
  const before = workedOut.get('street price judged') ?? 0
  const { queries, world } = await useMarket(db)
  const read = [...queries.keys()].map((id) => readStreetPrice({ world }, id, today, 'CAD').marks)
  return { world, queries, read, judged: (workedOut.get('street price judged') ?? 0) - before }
}
const restarted = () => {
  forgetWorld(db)
  return all()
}

test('a start after a start takes over every reading, what was dropped included', async () => {
  const first = await all()
  expect(first.judged).toBe(first.read.length)
  // whoever asked for them: a page before the warm-up as well
  expect(hasUnsaved(first.world)).toBe(true)
  const dropped = ({ world, queries }: typeof first) =>
    [...queries.keys()].map((id) => readStreetPrice({ world }, id, today, 'CAD').dropped)
  const were = dropped(first)
  keepReadings(db, first.world, today)
  const second = await restarted()
  expect(second.judged).toBe(0)
  expect(second.read).toEqual(first.read)
  expect(dropped(second)).toEqual(were)
})

test('keeping restored readings again judges no title: that stopped everybody for minutes after a one-line import', async () => {
  const { world } = await restarted()
  const before = workedOut.get('street price judged')
  expect(hasUnsaved(world)).toBe(false)
  keepReadings(db, world, today)
  expect(workedOut.get('street price judged')).toBe(before)
})

test('where a record was taken back, what could have had it is read anew, and nothing else', async () => {
  const { queries, world } = await restarted()
  const [partId] = [...queries.keys()]
  const [gone] = world.records.candidates(queries.get(partId!)!.must)
  const touched = [...queries.values()].filter(({ must }) => world.records.candidates(must).includes(gone!))
  const id = Number(gone!.id)
  const row = (await market.client.execute(`SELECT * FROM sold_records WHERE id = ${id}`)).rows[0]!
  await market.client.execute(`DELETE FROM sold_records WHERE id = ${id}`)
  expect((await restarted()).judged).toBe(touched.length)
  const columns = Object.keys(row)
  await market.client.execute({
    sql: `INSERT INTO sold_records (${columns.join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
    args: columns.map((column) => row[column]!),
  })
})

test('a record that came is read for the parts whose words it has, without a restart as with one', async () => {
  const { queries } = await restarted()
  const [, query] = [...queries].find(([, { must }]) => must.length > 0)!
  await importRecordsText(
    { db, client: market.client } as OpenDatabase,
    `id,source,title,price,date\nnew-1,Barnstall,${query.must.join(' ')} tested,91.00,2026-10-30`,
  )
  const { judged } = await all()
  expect(judged).toBeGreaterThan(0)
  expect(judged).toBeLessThan(queries.size)
  expect((await restarted()).judged).toBe(judged)
})

test('another build of Tarvin, or a file that is cut off: all are read anew', async () => {
  const { queries } = await all()
  keepReadingsIn(db, path, 'two')
  expect((await restarted()).judged).toBe(queries.size)
  keepReadingsIn(db, path, 'one')
  writeFileSync(path, 'cut off')
  appendFileSync(path, '\0')
  expect((await restarted()).judged).toBe(queries.size)
})
