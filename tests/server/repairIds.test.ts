import { rmSync } from 'node:fs'
import { join } from 'node:path'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { openDatabase, type OpenDatabase } from '#server/db/client'
import { migrate } from '#server/db/migrate'
import { buildStrips } from '#server/places/builds/readBuilds'
import { buildView } from '#server/places/builds/buildView'
import { leadViews } from '#server/places/leads/readLeads'
import { importLibrary } from '#server/places/parts/importLibrary'
import { priceBriefs } from '#server/places/prices/readPrices'
import { librarySchema } from '#shared/parts/libraryFile'
import { idGrammar, plainId, withPlainIds } from '#shared/text/plainId'
import { migrations, temporaryFolder } from './testDatabase'

/** A part whose id has a blank made every page answer 500 for good: ids have one grammar, and what is stored is brought to it. */
const folder = temporaryFolder()
const today = '2026-10-31'
let database: OpenDatabase
beforeAll(async () => {
  database = await openDatabase(`file:${join(folder, 'old.db')}`)
  await migrate(
    database,
    migrations.filter(({ name }) => name < '0020'),
  )
  for (const statement of [
    `INSERT INTO sources (id, name, kind, currency, tax_percent, tax_on_shipping, shipping_kind, shipping_amount, payment_fee_percent, seller_fee_percent, protection, note)
     VALUES ('the yard', 'the yard', 'classifieds', 'CAD', 0, 0, 'none', 0, 0, 0, 'none', '')`,
    `INSERT INTO parts (id, role, make, name, facts) VALUES ('Tarn 640 8GB', 'graphics', ` +
      `'Murrowdun', 'Tarn 640 8GB', '{"graphicsIndex":100}')`,
    `INSERT INTO builds (id, name, purpose, currency, region, budget, stretch, house_rules, needs, created_at)
     VALUES ('couch/corner', 'Couch', '', 'CAD', '', 40000, 45000, '{"neverUsed":[]}', '[]', '2026-09-01')`,
    `INSERT INTO leads (id, source_id, external_id, title, url, price, currency, condition, manner, listed_on, place, note, state)
     VALUES ('a b', 'the yard', 'a b', 'a b', '', 10000, 'CAD', 'used', 'local', '2026-09-01', '', '', 'open')`,
    `INSERT INTO lead_things (lead_id, position, part_id, quantity, plan) VALUES ('a b', 0, 'Tarn 640 8GB', 1, 'keep')`,
    'INSERT INTO choices (id, build_id, position, kind, lead_id, scope, reason) VALUES ' +
      `('c 1', 'couch/corner', 0, 'lead', 'a b', 'core', '')`,
    `INSERT INTO actions (id, kind, text, day, build_id, rows, created_at)
     VALUES (1, 'choose', 'a b', '2026-09-01', 'couch/corner', '[{"table":"choices","id":"c 1","before":null,"after":{"id":"c 1","leadId":"a b"}}]', '2026-09-01')`,
  ])
    await database.client.execute(statement)
  await migrate(database, migrations)
})
afterAll(() => {
  database.client.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('a database of before', () => {
  test('every page answers, and shows what was there under its new id', async () => {
    const { db } = database
    const [strip] = await buildStrips(db, today)
    expect(strip).toMatchObject({ id: plainId('couch/corner'), name: 'Couch' })
    const view = await buildView(db, strip!.id, today)
    expect(view.choices).toMatchObject([{ leadId: plainId('a b') }])
    expect((await leadViews(db, strip!.id, today)).leads).toMatchObject([{ title: 'a b' }])
    expect(await priceBriefs(db, strip!.id, today)).toMatchObject([{ partId: plainId('Tarn 640 8GB') }])
  })
  test('what an undo would put back is named anew too, free text and ids of other houses are not', async () => {
    const rows = async (sql: string) => (await database.client.execute(sql)).rows.map((row) => ({ ...row }))
    expect(await rows('SELECT rows, text, build_id FROM actions')).toEqual([
      {
        rows: JSON.stringify([
          {
            table: 'choices',
            id: plainId('c 1'),
            before: null,
            after: { id: plainId('c 1'), leadId: plainId('a b') },
          },
        ]),
        text: 'a b',
        build_id: plainId('couch/corner'),
      },
    ])
    expect(await rows('SELECT external_id, title FROM leads')).toEqual([{ external_id: 'a b', title: 'a b' }])
    expect(await rows('SELECT name FROM sources')).toEqual([{ name: 'the yard' }])
    expect(await rows("SELECT now FROM id_aliases WHERE old = 'couch/corner'")).toEqual([
      { now: plainId('couch/corner') },
    ])
  })
})

test('a file with such an id is taken, its references with it', async () => {
  const file = librarySchema.validateSync({
    format: 'tarvin-library',
    version: '1',
    parts: [{ id: 'Quill 70', role: 'graphics', make: 'Harrow', name: 'Quill 70', facts: {} }],
    shelf: [{ id: 'on the shelf', partId: 'Quill 70', condition: 'used', cost: '0', currency: 'CAD' }],
  })
  expect(file.parts[0]).toMatchObject({ id: plainId('Quill 70'), name: 'Quill 70' })
  expect(file.shelf[0]).toMatchObject({ partId: plainId('Quill 70') })
  expect(await importLibrary(database.db, file)).toMatchObject({ added: 2 })
})

describe('plainId', () => {
  test('its example', () => {
    expect(plainId('tarn-640-8')).toBe('tarn-640-8')
    expect(plainId('Tarn 640')).toBe('tarn-640-0aa826ce')
  })
  test('keeps to the grammar, is itself plain, and tells different ids apart', () =>
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', minLength: 1 }), fc.string({ minLength: 1 }), (a, b) => {
        expect(plainId(a)).toMatch(idGrammar)
        expect(plainId(plainId(a))).toBe(plainId(a))
        expect(plainId(a) === plainId(b)).toBe(a === b)
      }),
    ))
  test('of a file only ids are touched', () => {
    const file = {
      id: 'a b',
      name: 'a b',
      externalId: 'a b',
      partIds: ['a b'],
      words: ['a b'],
      of: { leadId: 'a b' },
    }
    const is = plainId('a b')
    expect(withPlainIds(file)).toEqual({ ...file, id: is, partIds: [is], of: { leadId: is } })
  })
})
