import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, utimesSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { eq, sql } from 'drizzle-orm'
import { strToU8, zipSync } from 'fflate'
import { openDatabase, type OpenDatabase } from '#server/db/client'
import { copiesFolder, copyOfTheDay, makeBackup, readBackup, restoreInto } from '#server/db/backup'
import {
  claimFile,
  refuseDamaged,
  refuseNewer,
  refuseUnknownMigration,
  startSentence,
} from '#server/db/guard'
import { DatabaseHeldError, isHeld, onlyReads } from '#server/db/oneWriter'
import { photoFile, photosFolder } from '#server/db/photosFolder'
import { photos } from '#server/db/schema/leads'
import { settings } from '#server/db/schema/settings'
import { readSecret, writeSecret } from '#server/context/settings'
import { errorAnswer } from '#server/http/errors'
import { buildView } from '#server/places/builds/buildView'
import { createLead } from '#server/places/leads/leads'
import { priceBriefs } from '#server/places/prices/readPrices'
import { leadSchema } from '#shared/leads/schemas'
import { marketWithBuild } from './marketWithBuild'
import { migrations, openTestDatabase, temporaryFolder } from './testDatabase'

let folder: string
let database: OpenDatabase
beforeEach(async () => {
  folder = temporaryFolder()
  database = await openTestDatabase(join(folder, 'store.db'))
})
afterEach(() => {
  database.client.close()
  rmSync(folder, { recursive: true, force: true })
})
const count = async () => {
  const [row] = await database.db.select({ n: sql<number>`count(*)` }).from(settings)
  return row!.n
}
const put = (key: string) => database.db.insert(settings).values({ key, value: 1 as never })

describe('one writer', () => {
  test('what is refused elsewhere is waited for, and the refused connection is not used again', async () => {
    // the plain client: after a refused BEGIN its connection’s later COMMITs fail; here the lock is held on purpose
    const other = createClient({ url: `file:${join(folder, 'store.db')}`, concurrency: 1 })
    const held = await other.transaction('write')
    await held.execute("INSERT INTO settings (key, value) VALUES ('theirs', '1')")
    const mine = database.db.transaction(async (tx) => {
      await tx.insert(settings).values({ key: 'mine', value: 1 as never })
    })
    await new Promise((resolve) => setTimeout(resolve, 60))
    await held.commit()
    await mine
    expect(await count()).toBe(2)
    for (let i = 0; i < 20; i += 1) await put(`after ${i}`)
    expect(await count()).toBe(22)
    other.close()
  })
  test('a hundred writes at once, mixed, all come through in some order', async () => {
    await Promise.all(
      Array.from({ length: 100 }, (_, i) =>
        i % 2 === 0
          ? put(`single ${i}`)
          : database.db.transaction(async (tx) => {
              await tx.insert(settings).values({ key: `tx ${i}`, value: 1 as never })
            }),
      ),
    )
    expect(await count()).toBe(100)
  })
  test('alone: what is checked still holds when it is written, by twenty at once', async () => {
    const once = () =>
      database.alone(async () => {
        const [found] = await database.db.select().from(settings).where(eq(settings.key, 'paid'))
        if (found) return false
        await new Promise((resolve) => setTimeout(resolve, 2))
        await put('paid')
        return true
      })
    const done = await Promise.all(Array.from({ length: 20 }, once))
    expect(done.filter(Boolean)).toHaveLength(1)
  })
  test('alone within alone takes no second turn; a failure gives the turn on and leaves nothing', async () => {
    await database.alone(() => database.alone(() => put('inner')))
    await expect(
      database.db.transaction(async (tx) => {
        await tx.insert(settings).values({ key: 'half', value: 1 as never })
        throw new Error('stop')
      }),
    ).rejects.toThrow('stop')
    await put('later')
    expect(await count()).toBe(2)
  })
  test('reads do not wait for a writer', async () => {
    await put('before')
    await database.db.transaction(async (tx) => {
      await tx.insert(settings).values({ key: 'inside', value: 1 as never })
      expect(await count()).toBe(1)
    })
    expect(await count()).toBe(2)
  })
  test.each([
    ['select * from x', true],
    ['  WITH a AS (SELECT 1) SELECT * FROM a', true],
    ['with a as (select 1) insert into b select * from a', false],
    ['insert into x values (1)', false],
    ['PRAGMA wal_checkpoint', false],
    ['vacuum into "x"', false],
  ])('%s only reads: %s', (statement, reads) => expect(onlyReads(statement)).toBe(reads))
  test('an error of the lock is known through its causes', () => {
    const busy = Object.assign(new Error('locked'), { code: 'SQLITE_BUSY' })
    expect(isHeld(new Error('failed query', { cause: busy }))).toBe(true)
    expect(isHeld(new Error('other'))).toBe(false)
    expect(new DatabaseHeldError(busy).message).toMatch(/nothing was changed/)
  })
  test('foreign keys hold on every way to write', async () => {
    const bad = "INSERT INTO lead_things VALUES ('x', 0, 'y', 1, 'keep')"
    await expect(database.client.execute(bad)).rejects.toThrow(/FOREIGN KEY/)
    await expect(database.client.batch([bad])).rejects.toThrow(/FOREIGN KEY/)
  })
})

describe('a start that is refused, in one sentence', () => {
  test('two on one file: the second; the first gone, it may', async () => {
    const file = join(folder, 'claimed.db')
    const letGo = await claimFile(file)
    await expect(claimFile(file)).rejects.toThrow(`Another Tarvin is running on ${file}`)
    letGo()
    const again = await claimFile(file)
    again()
  })
  test('a database of a newer version is left alone', async () => {
    const names = migrations.map(({ name }) => name)
    await refuseNewer(database, names)
    await database.client.execute("INSERT INTO migrations (name) VALUES ('9999_future')")
    await expect(refuseNewer(database, names)).rejects.toThrow(
      'This database was written by a newer version of Tarvin (migration 9999_future); ' +
        'start that version, or restore a backup made by this one.',
    )
  })
  test('a damaged file is named as such, a file that is none too', async () => {
    await refuseDamaged(database)
    const text = join(folder, 'text.db')
    writeFileSync(text, 'these are notes, and no database at all, long enough to be looked at'.repeat(20))
    const sentence = await openDatabase(`file:${text}`).then(
      () => 'opened',
      (error: unknown) => startSentence(error),
    )
    expect(sentence).toBe('The file in TARVIN_DATABASE_URL is not a database; it was not changed.')
  })
  test('a folder in the place of the file', async () => {
    mkdirSync(join(folder, 'folder.db'))
    const sentence = await openDatabase(`file:${join(folder, 'folder.db')}`).then(
      () => 'opened',
      (error: unknown) => startSentence(error),
    )
    expect(sentence).toMatch(/cannot be opened/)
  })
  test.each([
    ['SQLITE_READONLY', 'attempt to write a readonly database', /read-only/],
    ['SQLITE_CORRUPT', 'database disk image is malformed', /damaged. It was not changed/],
    ['SQLITE_FULL', 'database or disk is full', /disk is full/],
    ['SOMETHING', 'unheard of', /could not be opened \(SOMETHING unheard of\)/],
  ])('%s', (code, message, sentence) =>
    expect(startSentence(Object.assign(new Error(message), { code }))).toMatch(sentence),
  )
})

describe('backups', () => {
  const place = () => marketWithBuild()
  const blank = new Uint8Array(4000)
  const note = strToU8(
    JSON.stringify({ format: 'tarvin-backup', version: '1', madeOn: '2026-10-31', migration: '0000' }),
  )
  const aLead = leadSchema.validateSync({
    sourceId: 'yard',
    title: 'A card',
    price: '90.00',
    currency: 'CAD',
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-31',
    things: [{ partId: 'card' }],
  })
  test('one zip holds everything, and restored elsewhere it gives the same figures', async () => {
    const market = await place()
    try {
      const before = await buildView(market.db, market.build, '2026-10-31')
      const prices = await priceBriefs(market.db, market.build, '2026-10-31')
      const zip = await makeBackup(market, '2026-10-31')
      const backup = await readBackup(zip)
      const { preview } = backup
      expect(preview).toMatchObject({ madeOn: '2026-10-31', builds: ['Couch'] })
      expect(preview.counts).toMatchObject({ sold_records: 24, parts: 3, sources: 2, photos: 0 })
      const restored = await openTestDatabase(join(folder, 'elsewhere', 'tarvin.db'))
      await restoreInto(restored, backup, migrations)
      expect(await buildView(restored.db, market.build, '2026-10-31')).toEqual(before)
      expect(await priceBriefs(restored.db, market.build, '2026-10-31')).toEqual(prices)
      restored.client.close()
    } finally {
      await market.close()
    }
  })
  test('put in the place of another database, that one is kept beside it', async () => {
    await put('of the old one')
    const zip = await makeBackup(database, '2026-10-31')
    await put('after the backup')
    await restoreInto(database, await readBackup(zip), migrations)
    expect(await count()).toBe(1)
    await put('goes on')
    const old = await openTestDatabase(`${database.file!}.before-restore`)
    expect((await old.db.select().from(settings)).length).toBe(2)
    old.client.close()
  })
  test('photos go with it, secrets do not; a restore keeps the passphrase of this place and ends its sessions', async () => {
    const market = await place()
    const elsewhere = await openTestDatabase(join(folder, 'photos', 'tarvin.db'))
    try {
      const kept = { salt: 'c2FsdCBvZiBhIHBsYWNl', hash: 'aGFzaCBvZiBhIHBhc3NwaHJhc2U=' }
      await writeSecret(market.db, 'passphrase', kept)
      await writeSecret(market.db, 'seal', 'the seal of cookies')
      const leadId = await createLead(market.db, aLead)
      await market.db
        .insert(photos)
        .values({ id: 'photo-1', leadId, arrival: false, width: 1, height: 1, addedOn: '2026-10-31' })
      mkdirSync(photosFolder(market.file), { recursive: true })
      writeFileSync(photoFile(market.file, 'photo-1'), 'a picture')
      const zip = await makeBackup(market, '2026-10-31')
      const backup = await readBackup(zip)
      expect(new TextDecoder('latin1').decode(backup.database)).not.toMatch(/the seal of cookies|aGFzaCBvZ/)
      await writeSecret(elsewhere.db, 'passphrase', { salt: 'own', hash: 'own' })
      await writeSecret(elsewhere.db, 'seal', 'own seal')
      await restoreInto(elsewhere, backup, migrations)
      expect(readFileSync(photoFile(elsewhere.file!, 'photo-1'), 'utf8')).toBe('a picture')
      expect(await readSecret(elsewhere.db, 'passphrase')).toEqual({ salt: 'own', hash: 'own' })
      expect(await readSecret(elsewhere.db, 'seal')).toBeNull()
    } finally {
      elsewhere.client.close()
      await market.close()
    }
  })
  test.each([
    ['no zip at all', async () => new TextEncoder().encode('notes'), 'broken-zip'],
    ['a zip of something else', async () => zipSync({ 'a.txt': new Uint8Array(3) }), 'no-backup'],
    ['one cut off', async () => (await makeBackup(database, '2026-10-31')).slice(0, 900), 'broken-zip'],
    [
      'a note that is no JSON',
      async () => zipSync({ 'backup.json': strToU8('{'), 'tarvin.db': blank }),
      'no-backup',
    ],
    [
      'a database that is none',
      async () => zipSync({ 'backup.json': note, 'tarvin.db': blank }),
      'damaged-backup',
    ],
    [
      'one with pages overwritten',
      async () => {
        const bytes = (await readBackup(await makeBackup(database, '2026-10-31'))).database.slice()
        bytes.fill(0x5a, 4096, 40_960)
        return zipSync({ 'backup.json': note, 'tarvin.db': bytes })
      },
      'damaged-backup',
    ],
  ])('%s is refused', async (_, bytes, code) => {
    await expect(readBackup(await bytes())).rejects.toMatchObject({ code })
  })
  test.each([
    [
      'a word in the place of a price',
      "UPDATE leads SET price = 'cheap'",
      { code: 'unreadable-backup', params: { table: 'leads', row: 1, column: 'price' } },
    ],
    [
      'no JSON where there should be',
      "UPDATE parts SET facts = '{' WHERE id = 'board'",
      { code: 'unreadable-backup', params: { table: 'parts', column: 'facts' } },
    ],
    ['a reference into nothing', 'DELETE FROM sources', { code: 'unreadable-backup' }],
    ['a table too many', 'CREATE TABLE own (a)', { code: 'other-tables', params: { table: 'own' } }],
    [
      'a column too few',
      'ALTER TABLE runs DROP COLUMN note',
      { code: 'other-tables', params: { table: 'runs' } },
    ],
  ])('%s is found before anything is replaced', async (_, harm, refusal) => {
    const market = await marketWithBuild()
    try {
      await createLead(market.db, aLead)
      const file = join(folder, 'harmed.db')
      writeFileSync(file, (await readBackup(await makeBackup(market, '2026-10-31'))).database)
      const harmed = createClient({ url: `file:${file}` })
      await harmed.execute('PRAGMA foreign_keys = OFF')
      await harmed.execute(harm)
      harmed.close()
      const backup = { database: readFileSync(file), photos: new Map<string, Uint8Array>() }
      await put('of the present one')
      await expect(restoreInto(database, backup, migrations)).rejects.toMatchObject(refusal)
      expect(await count()).toBe(1)
    } finally {
      await market.close()
    }
  })
  test('a full disk is told as that, and nothing is written', async () => {
    const { rows } = await database.client.execute('PRAGMA page_count')
    await database.client.execute(`PRAGMA max_page_count = ${String(Object.values(rows[0]!)[0])}`)
    const failed = await put('x'.repeat(2_000_000)).catch((error: unknown) => error)
    expect(errorAnswer(failed)).toMatchObject({ status: 507, body: { error: { code: 'disk-full' } } })
    expect(await count()).toBe(0)
  })
  test('a backup of a newer version is refused before anything moves', () => {
    expect(() => refuseUnknownMigration('9999_future', ['0000_a'])).toThrow(
      'This database was written by a newer version of Tarvin (migration 9999_future); ' +
        'start that version, or restore a backup made by this one.',
    )
    expect(() => refuseUnknownMigration('0000_a', ['0000_a'])).not.toThrow()
  })
  test('a copy a day when something changed; the newest seven stay', async () => {
    const file = database.file!
    const made: (string | null)[] = []
    for (let day = 10; day < 20; day += 1) {
      // a later change than the copy of the day before, by the clock of the files
      utimesSync(file, new Date(Date.now() + day * 1000), new Date(Date.now() + day * 1000))
      made.push(await copyOfTheDay(database.client, file, `2026-10-${day}`))
      made.push(await copyOfTheDay(database.client, file, `2026-10-${day}`))
    }
    expect(made.filter((name) => name !== null)).toHaveLength(10)
    expect(readdirSync(copiesFolder(file)).sort()).toEqual(
      [13, 14, 15, 16, 17, 18, 19].map((day) => `2026-10-${day}.db`),
    )
    utimesSync(file, new Date(2000, 1), new Date(2000, 1))
    if (existsSync(`${file}-wal`)) utimesSync(`${file}-wal`, new Date(2000, 1), new Date(2000, 1))
    expect(await copyOfTheDay(database.client, file, '2026-10-21')).toBeNull()
  })
})
