import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { chance } from '../../demo/random'
import { openDatabase, writerOf, type OpenDatabase } from '#server/db/client'
import { emptyOut, makeBackup, readBackup, restoreInto } from '#server/db/backup'
import { Rows } from '#server/readings/rows'
import { reading, sameMembers } from '#server/readings/reading'
import { forgetWorld, useWorld } from '#server/readings/useWorld'
import { settings } from '#server/db/schema/settings'
import { watchedNames } from '#server/readings/watched'
import { World } from '#server/readings/world'
import { buildPage } from '#server/places/builds/buildView'
import { stripsPage } from '#server/places/builds/readBuilds'
import { leadsPage } from '#server/places/leads/readLeads'
import { ledgerPage } from '#server/places/ledger/ledgerView'
import { machinePage } from '#server/places/machine/readMachine'
import { planPage } from '#server/places/plan/planQuestion'
import { pricePage, pricesPage } from '#server/places/prices/readPrices'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'
import { migrations, openTestDatabase, temporaryFolder } from './testDatabase'

describe('Rows', () => {
  interface Row {
    readonly id: string
    readonly kind: string
  }
  const filled = () => {
    const rows = new Rows<Row>()
    rows.put([
      [2, { id: 'b', kind: 'x' }],
      [1, { id: 'a', kind: 'x' }],
      [3, { id: 'c', kind: 'y' }],
    ])
    return rows
  }
  test('are in the order of their numbers, whole and by a column', () => {
    const rows = filled()
    expect(rows.all().map(({ id }) => id)).toEqual(['a', 'b', 'c'])
    expect(rows.where('kind', 'x').map(({ id }) => id)).toEqual(['a', 'b'])
    expect(rows.one('kind', 'z')).toBeUndefined()
    rows.put([
      [1, { id: 'a', kind: 'z' }],
      [3, null],
      [4, { id: 'd', kind: 'x' }],
    ])
    expect(rows.where('kind', 'x').map(({ id }) => id)).toEqual(['b', 'd'])
    expect(rows.one('kind', 'z')!.id).toBe('a')
    expect(rows.where('kind', 'y')).toEqual([])
  })
  test('only who asked for a value is told of its change; a row written as it was tells nobody', async () => {
    let times = 0
    const world = new World()
    const labels = reading('labels of a test', (_world, kind: string) => {
      times += 1
      return rows.where('kind', kind).map(({ id }) => id)
    })
    const rows = filled()
    labels(world, 'x')
    rows.put([[3, { id: 'c2', kind: 'y' }]])
    rows.put([[1, { id: 'a', kind: 'x' }]])
    expect(labels(world, 'x')).toEqual(['a', 'b'])
    expect(times).toBe(1)
    rows.put([[3, { id: 'c', kind: 'x' }]])
    expect(labels(world, 'x')).toEqual(['a', 'b', 'c'])
    expect(times).toBe(2)
  })
})

describe('a reading', () => {
  test('whose value stays the same leaves its readers alone', () => {
    const rows = new Rows<{ readonly id: number }>()
    const world = new World()
    let times = 0
    const even = reading('even of a test', () => rows.all().filter(({ id }) => id % 2 === 0), {
      same: sameMembers,
    })
    const count = reading('count of a test', (given) => {
      times += 1
      return even(given).length
    })
    rows.put([[2, { id: 2 }]])
    expect(count(world)).toBe(1)
    rows.put([[3, { id: 3 }]])
    expect(count(world)).toBe(1)
    expect(times).toBe(1)
  })
  test('that refuses refuses again, until something of it changes', () => {
    const rows = new Rows<{ readonly id: number }>()
    const world = new World()
    const first = reading('first of a test', () => {
      if (!rows.all()[0]) throw new Error('none there')
      return rows.all()[0]!.id
    })
    expect(() => first(world)).toThrow('none there')
    expect(() => first(world)).toThrow('none there')
    rows.put([[1, { id: 7 }]])
    expect(first(world)).toBe(7)
  })
  test('that asks itself in a ring says so', () => {
    const world = new World()
    const ring: (given: World) => number = reading('ring of a test', (given: World): number => ring(given))
    expect(() => ring(world)).toThrow('ring of a test [] → ring of a test []')
  })
})

describe('the world', () => {
  let place: MarketWithBuild
  beforeAll(async () => {
    place = await marketWithBuild()
  })
  afterAll(() => place.close())

  /** Every table and the records, as they stand in memory. */
  const contents = (world: World) => [
    watchedNames.map((name) => [name, world.rows[name].all()]),
    world.records.records,
  ]

  /** What every page says, or why it refuses. */
  const pagesOf = (world: World) => {
    const said = (page: () => unknown) => {
      try {
        return JSON.stringify(page())
      } catch (error) {
        return (error as Error).message
      }
    }
    return [
      said(() => stripsPage(world, today)),
      ...world.rows.builds
        .all()
        .flatMap(({ id }) => [
          said(() => buildPage(world, id, today)),
          said(() => leadsPage(world, id, today)),
          said(() => leadsPage(world, id, today, { show: 'open', role: '', order: 'saving', count: 2 })),
          said(() => ledgerPage(world, id, today)),
          said(() => machinePage(world, id, today)),
          said(() => planPage(world, id, today)),
          said(() => pricesPage(world, id, today)),
          said(() => pricePage(world, id, 'card', today)),
        ]),
    ]
  }

  test('is what is stored, whatever is written or rolled back, and no page of it is an old one', async () => {
    const { client, db } = place
    const kept = await useWorld(db)
    const draw = chance(7)
    const { rows: tables } = await client.execute(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name <> 'migrations'",
    )
    for (let step = 0; step < 60; step += 1) {
      const table = String(tables[draw.whole(0, tables.length - 1)]!.name)
      const { rows } = await client.execute(`SELECT rowid AS number FROM ${table}`)
      if (rows.length === 0) continue
      const number = Number(rows[draw.whole(0, rows.length - 1)]!.number)
      const columns = (await client.execute(`PRAGMA table_info(${table})`)).rows
      const column = columns[draw.whole(0, columns.length - 1)]!
      const tx = await client.transaction('write')
      try {
        // a value of the column of another row, so that it is one that can stand there
        await tx.execute({
          sql: `UPDATE ${table} SET ${column.name} = (SELECT ${column.name} FROM ${table} ORDER BY random() LIMIT 1) WHERE rowid = ?`,
          args: [number],
        })
        if (draw.whole(0, 3) === 0)
          await tx.execute({ sql: `DELETE FROM ${table} WHERE rowid = ?`, args: [number] })
        if (draw.whole(0, 9) === 0) await tx.rollback()
        else await tx.commit()
      } catch {
        // what the database refuses leaves nothing
        tx.close()
      }
      const anew = await new World().load(db)
      expect(contents(kept)).toEqual(contents(anew))
      expect(pagesOf(kept)).toEqual(pagesOf(anew))
    }
    expect(await useWorld(db)).toBe(kept)
  })

  test('holds no secret, and nobody can change what it gives', async () => {
    await place.client.execute("INSERT INTO settings (key, value) VALUES ('secret.seal', '\"x\"')")
    const world = await useWorld(place.db)
    expect(world.rows.settings.all().map(({ key }) => key)).not.toContain('secret.seal')
    expect(() => Object.assign(world.rows.parts.all()[0]!, { name: 'other' })).toThrow()
  })

  test('of a transaction is what the transaction sees', async () => {
    const name = (world: World) => world.rows.builds.all()[0]!.name
    const before = name(await useWorld(place.db))
    await expect(
      place.db.transaction(async (tx) => {
        await tx.run("UPDATE builds SET name = 'inside'")
        expect(name(await useWorld(tx))).toBe('inside')
        throw new Error('taken back')
      }),
    ).rejects.toThrow('taken back')
    expect(name(await useWorld(place.db))).toBe(before)
  })
})

test('a savepoint that was taken back is not in the world of its transaction', async () => {
  const place = await marketWithBuild()
  const name = async (db: Parameters<typeof useWorld>[0]) => (await useWorld(db)).rows.builds.all()[0]!.name
  const before = await name(place.db)
  await place.db.transaction(async (tx) => {
    await tx
      .transaction(async (inner) => {
        await inner.run("UPDATE builds SET name = 'inner'")
        expect(await name(inner)).toBe('inner')
        throw new Error('taken back')
      })
      .catch(() => undefined)
    expect(await name(tx)).toBe(before)
    await tx.run("UPDATE builds SET purpose = 'goes on'")
    expect([await name(tx), (await useWorld(tx)).rows.builds.all()[0]!.purpose]).toEqual([before, 'goes on'])
  })
  expect(await name(place.db)).toBe(before)
  await place.close()
})

test('after a restore, and after all was removed, the world is what is stored; another day has its own pages', async () => {
  const place = await marketWithBuild()
  const folder = temporaryFolder()
  const database = await openTestDatabase(join(folder, 'r.db'))
  const world = await useWorld(database.db)
  const strips = async (day: string) => [
    stripsPage(await useWorld(database.db), day),
    stripsPage(await new World().load(database.db), day),
  ]
  expect(stripsPage(world, today)).toEqual([])
  await restoreInto(database, await readBackup(await makeBackup(place, today)), migrations)
  const [kept, anew] = await strips(today)
  expect(kept).toEqual(anew)
  expect(kept).toHaveLength(1)
  const [next, nextAnew] = await strips('2027-03-01')
  expect(next).toEqual(nextAnew)
  await emptyOut(database, migrations)
  expect(await strips(today)).toEqual([[], []])
  database.client.close()
  rmSync(folder, { recursive: true })
  await place.close()
})

test('what another program writes to the file is seen before the next write, and when somebody looks', async () => {
  const folder = temporaryFolder()
  const path = join(folder, 'b.db')
  const database = await openTestDatabase(path)
  const other = await openDatabase(`file:${path}`)
  const set = (client: typeof other.client, key: string) =>
    client.execute({ sql: 'INSERT INTO settings (key, value) VALUES (?, ?)', args: [key, '1'] })
  const keys = async () => (await useWorld(database.db)).rows.settings.all().map(({ key }) => key)
  await set(other.client, 'theirs')
  const before = database.version()
  await writerOf(database.db)!.lookAround()
  expect(await keys()).toEqual(['theirs'])
  expect(database.version()).toBeGreaterThan(before!)
  await set(other.client, 'again')
  await set(database.client, 'ours')
  expect(await keys()).toEqual(['theirs', 'again', 'ours'])
  other.client.close()
  database.client.close()
  rmSync(folder, { recursive: true })
})

test('a write that the world cannot take in stands, and the world is read anew', async () => {
  const folder = temporaryFolder()
  const database: OpenDatabase = await openTestDatabase(join(folder, 'a.db'))
  const world = await useWorld(database.db)
  world.take = () => Promise.reject(new Error('no memory'))
  await database.client.execute("INSERT INTO settings (key, value) VALUES ('homeCurrency', '\"SEK\"')")
  const anew = await useWorld(database.db)
  expect(anew).not.toBe(world)
  expect(anew.rows.settings.all()).toEqual([{ key: 'homeCurrency', value: 'SEK' }])
  database.client.close()
  rmSync(folder, { recursive: true })
})

test('a reader that waits for the writer to load the world is not waited for by the writer', async () => {
  const folder = temporaryFolder()
  const { db, client } = await openTestDatabase(join(folder, 'a.db'))
  forgetWorld(db)
  let reader: Promise<World> | null = null
  const seen = await db.transaction(async (tx) => {
    await tx.insert(settings).values({ key: 'homeCurrency', value: 'SEK' })
    // somebody else asks while the turn is taken
    reader = useWorld(db)
    await Promise.resolve()
    return (await useWorld(tx)).rows.settings.all().map(({ key }) => key)
  })
  expect(seen).toEqual(['homeCurrency'])
  expect((await reader!).rows.settings.all()).toHaveLength(1)
  client.close()
  rmSync(folder, { recursive: true })
})
