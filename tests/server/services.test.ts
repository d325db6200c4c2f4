import { readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { openDatabase, type OpenDatabase } from '#server/db/client'
import { migrate } from '#server/db/migrate'
import { addChoice, changeChoice } from '#server/places/machine/choices'
import { briefOf, saveBrief } from '#server/places/brief/brief'
import { createBuild, setBuildDeleted } from '#server/places/builds/builds'
import { setRivals } from '#server/places/scales/setRivals'
import { exportBuild, importBuild } from '#server/places/builds/buildFile'
import { sessionView } from '#server/places/builds/readBuilds'
import { buildView } from '#server/places/builds/buildView'
import { importSoldRecords } from '#server/places/prices/importRecords'
import { importLeads } from '#server/places/leads/importLeads'
import { importShopPrices } from '#server/places/prices/importShopPrices'
import { createLead, leadInput, updateLead } from '#server/places/leads/leads'
import { importLibrary } from '#server/places/parts/importLibrary'
import { leadViews } from '#server/places/leads/readLeads'
import { setOverride, setQuery } from '#server/context/market'
import { priceView } from '#server/places/prices/readPrices'
import { buildMarkdown, linesCsv } from '#server/places/builds/shareBuild'
import { soldRecords } from '../../server/db/schema/prices'
import { migrations, openTestDatabase, temporaryFolder } from './testDatabase'
import { quantileByDefinition } from '../core/pricing/secondMethod'
import { briefSchema } from '#shared/brief/schemas'
import { buildFileSchema } from '#shared/builds/buildFile'
import { librarySchema } from '#shared/parts/libraryFile'
import { leadSchema } from '#shared/leads/schemas'

/** The services against a real database file. */
const folder = temporaryFolder()
const today = '2026-10-31'
const open = (name: string) => openTestDatabase(join(folder, name))
let database: OpenDatabase
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const library = librarySchema.validateSync({
  format: 'tarvin-library',
  version: '1',
  sources: [
    {
      id: 'pantry',
      name: 'Pantry',
      kind: 'shop',
      currency: 'CAD',
      taxPercent: 13,
      taxOnShipping: true,
      shipping: { kind: 'per-order', amount: '9.99', freeFrom: '150.00' },
      protection: 'warranty',
    },
  ],
  parts: [
    {
      id: 'cpu',
      role: 'cpu',
      make: 'Kaldric',
      name: 'Sallowfen 5400',
      facts: { socket: 'SF-3', cpuIndex: 100, threads: 12 },
    },
    {
      id: 'board',
      role: 'motherboard',
      make: 'Northpine',
      name: 'N4 micro',
      facts: { socket: 'TD-B', memoryGeneration: 'DDR4' },
    },
    {
      id: 'card',
      role: 'graphics',
      make: 'Murrowdun',
      name: 'Tarn 640 8 GB',
      facts: { graphicsIndex: 100, vramGb: 8, sixPinLeads: 0, eightPinLeads: 1 },
    },
    { id: 'card-s', role: 'graphics', make: 'Murrowdun', name: 'Tarn 640 S 8 GB', facts: {} },
    { id: 'licence', role: 'extra', make: 'Latchkey', name: 'licence', facts: { covers: 'licence' } },
  ],
  workloads: [
    {
      id: 'drift',
      name: 'Lantern Drift',
      graphicsMs: 4.6,
      cpuMs: 7.6,
      pixelExponent: 0.85,
      threadsWanted: 8,
      lowShare: { graphics: 0.8, cpu: 0.7 },
      presets: { high: { graphics: 1, cpu: 1, videoMemoryGb: 6 } },
    },
  ],
  rivals: [
    {
      id: 'box',
      kind: 'prebuilt',
      name: 'Brindlewick',
      price: '900.00',
      currency: 'CAD',
      taxPercent: 13,
      brings: ['licence'],
      rates: [{ workloadId: 'drift', width: 2560, height: 1440, preset: 'high', averageFps: 50 }],
    },
  ],
  shelf: [
    { id: 'shelf-1', partId: 'licence', condition: 'new', currency: 'CAD' },
    { id: 'shelf-2', partId: 'licence', condition: 'new', currency: 'CAD' },
  ],
})
const brief = briefSchema.validateSync({
  name: 'Couch',
  currency: 'CAD',
  budget: '600.00',
  stretch: '650.00',
  wantedBy: '2026-11-21',
  houseRules: { neverUsed: ['supply'] },
  needs: [{ need: 'licence', price: '24.00' }],
  targets: [{ workloadId: 'drift', width: 2560, height: 1440, preset: 'high', averageFps: 60, lowFps: 45 }],
})
const recordsCsv = [
  'id,title,price,date',
  ...Array.from(
    { length: 12 },
    (_, i) => `r${i},Tarn 640 8GB number ${i},${120 + i}.00,2026-10-${String(i + 10)}`,
  ),
  'box,Tarn 640 box only,9.00,2026-10-12',
  'bad,Tarn 640,free,2026-10-12',
].join('\n')
const recordDefaults = {
  source: 'Gavelry',
  currency: 'CAD',
  manner: 'fixed',
  condition: 'used',
  today,
} as const
const lead = leadSchema.validateSync({
  sourceId: 'pantry',
  title: 'Tarn 640',
  price: '140.00',
  currency: 'CAD',
  condition: 'used',
  manner: 'fixed',
  listedOn: '2026-10-30',
  things: [{ partId: 'card' }],
  code: { word: 'TEN', kind: 'fixed', value: '10.00' },
  rebate: { kind: 'mail-in', amount: '15.00', claimBy: '2026-11-30' },
})

beforeAll(async () => {
  database = await open('main.db')
  await importLibrary(database.db, library)
  await importSoldRecords(database, { name: 'a.csv', text: recordsCsv, defaults: recordDefaults })
})

describe('migrate', () => {
  test('applies what is missing once, and copies the file before an upgrade', async () => {
    expect(await migrate(database, migrations)).toEqual([])
    const old = await open('old.db')
    await migrate(old, [...migrations, { name: '9999_more', sql: 'CREATE TABLE more (id INTEGER)' }])
    expect(readdirSync(folder)).toContain('old.db.before-9999_more')
    await expect(
      migrate(old, [
        ...migrations,
        { name: '9999_wrong', sql: 'CREATE TABLE fine (id INTEGER);--> statement-breakpoint\nNONSENSE' },
      ]),
    ).rejects.toThrow()
    const { rows } = await old.client.execute("SELECT name FROM sqlite_master WHERE name = 'fine'")
    expect(rows).toEqual([]) // nothing of a failed migration stays
  })
  test('a database of the first version keeps what is in it through every upgrade', async () => {
    const first = await openDatabase(`file:${join(folder, 'first.db')}`)
    await migrate(first, migrations.slice(0, 1))
    await first.client.execute(
      'INSERT INTO sources (id, name, kind, currency, tax_percent, tax_on_shipping, ' +
        'shipping_kind, shipping_amount, payment_fee_percent, seller_fee_percent, ' +
        "protection, note) VALUES ('a', 'A', 'shop', 'CAD', 0, 0, 'none', 0, 0, 0, 'none', '')",
    )
    await first.client.execute(
      'INSERT INTO leads (id, source_id, external_id, title, url, price, currency, ' +
        "condition, manner, listed_on, place, note, state) VALUES ('l', 'a', 'x', 't', '', " +
        "100, 'CAD', 'used', 'fixed', '2026-10-01', '', '', 'open')",
    )
    expect(await migrate(first, migrations)).toEqual(migrations.slice(1).map((each) => each.name))
    const { rows } = await first.client.execute('SELECT price, tie_deduced, vanished_on FROM leads')
    expect(rows.map((row) => [row.price, row.tie_deduced, row.vanished_on])).toEqual([[100, 0, null]])
  })
  test('foreign keys are on', async () => {
    await expect(
      database.client.execute("INSERT INTO lead_things VALUES ('x', 0, 'y', 1, 'keep')"),
    ).rejects.toThrow(/FOREIGN KEY/)
  })
})

describe('importSoldRecords', () => {
  test('the same file again adds nothing', async () => {
    const report = await importSoldRecords(database, {
      name: 'a.csv',
      text: recordsCsv,
      defaults: recordDefaults,
    })
    expect(report).toMatchObject({
      added: 0,
      alreadyThere: 13,
      rejected: 1,
      problems: [{ line: 15, reason: '"free" is not a price' }],
    })
  })
  test('cancelled or broken off half-way, nothing is half there', async () => {
    const before = await database.db.$count(soldRecords)
    const text = [
      'id,title,price,date',
      ...Array.from({ length: 1500 }, (_, i) => `n${i},Other ${i},5.00,2026-10-01`),
    ].join('\n')
    expect(
      await importSoldRecords(
        database,
        { name: 'b.csv', text, defaults: recordDefaults },
        (done) => done < 1000,
      ),
    ).toBe('cancelled')
    await expect(
      importSoldRecords(database, { name: 'b.csv', text, defaults: recordDefaults }, () => {
        throw new Error('not counted')
      }),
    ).rejects.toThrow('not counted')
    expect(await database.db.$count(soldRecords)).toBe(before)
  })
})

describe('prices', () => {
  test("a part's reading, the builder's word on a record and its undoing", async () => {
    const build = await createBuild(database.db, brief, today)
    const view = await priceView(database.db, build, 'card', today)
    const comps = Array.from({ length: 12 }, (_, i) => ({
      price: 12_000 + 100 * i,
      weight: 0.5 ** ((21 - i) / 30),
    }))
    expect(view).toMatchObject({ kept: 12, marks: { typical: Math.round(quantileByDefinition(comps, 0.5)) } })
    expect(view.records.find((record) => record.title.includes('box'))).toMatchObject({
      reason: 'accessory',
      detail: 'box only',
    })
    const top = view.records.find((record) => record.title.includes('number 11'))!
    await setOverride(database.db, 'card', [top.id], 'drop')
    const after = await priceView(database.db, build, 'card', today)
    expect(after.kept).toBe(11)
    expect(after.records.find((record) => record.id === top.id)).toMatchObject({
      reason: 'builder',
      decision: 'drop',
    })
    // survives new records
    await importSoldRecords(database, {
      name: 'c.csv',
      text: `${recordsCsv}\nlate,Tarn 640 8gb late,125.00,2026-10-30`,
      defaults: recordDefaults,
    })
    expect((await priceView(database.db, build, 'card', today)).kept).toBe(12)
    await setOverride(database.db, 'card', [top.id], null)
    expect((await priceView(database.db, build, 'card', today)).kept).toBe(13)
    await setQuery(database.db, 'card', { ...view.query, mustNot: ['late'] })
    expect(
      (await priceView(database.db, build, 'card', today)).records.find((record) =>
        record.title.includes('late'),
      )!.reason,
    ).toBe('unwanted-word')
    await setQuery(database.db, 'card', null)
    expect((await priceView(database.db, build, 'card', today)).queryIsOwn).toBe(false)
  })
})

describe('a build', () => {
  test('choices move the receipt; findings, estimate and verdict follow; taking out and putting back', async () => {
    const id = await createBuild(database.db, brief, today)
    const leadId = await createLead(database.db, lead)
    await addChoice(
      database.db,
      id,
      { kind: 'lead', leadId, partId: null, shelfId: null, limit: null, scope: 'core', reason: 'why not' },
      today,
    )
    let view = await buildView(database.db, id, today)
    // 130.00 + 9.99 = 139.99 · 1.13 = 158.19; rebate 15.00
    expect(view.receipt.totals).toMatchObject({ payNow: 15_819, afterRebates: 14_319 })
    // 0.08 · ((1 − 0.95) · 130.00 · 1.13 + 8.00) = 1.2276; 158.19 − 12.75 + 1.23
    expect(view.receipt.totals.expected).toBe(14_667)
    await addChoice(
      database.db,
      id,
      { kind: 'hunt', partId: 'cpu', leadId: null, shelfId: null, limit: '58.00', scope: 'core', reason: '' },
      today,
    )
    await addChoice(
      database.db,
      id,
      {
        kind: 'hunt',
        partId: 'board',
        leadId: null,
        shelfId: null,
        limit: '61.00',
        scope: 'core',
        reason: '',
      },
      today,
    )
    await addChoice(
      database.db,
      id,
      {
        kind: 'owned',
        shelfId: 'shelf-1',
        leadId: null,
        partId: null,
        limit: null,
        scope: 'ready',
        reason: '',
      },
      today,
    )
    await setRivals(database.db, id, ['box'], today)
    view = await buildView(database.db, id, today)
    expect(view.receipt.totals.payNow).toBe(15_819 + 5800 + 6100)
    expect(view.fit.findings.map((finding) => finding.ruleId)).toEqual(['cpu-socket'])
    expect(view.targets[0]!.estimate!.limit).toBe('graphics')
    // yearly faults: 0.022 · 900.00 · 3 years = 59.40; dead on arrival: 0.08 · 0.2 (new) · 0.05 not made good · 900.00 = 0.72
    expect(view.weighing.others[0]!.cost).toMatchObject({
      outlay: 90_000 + 11_700,
      total: 90_000 + 11_700 + 6012,
    })
    // nobody knows what it fetches: value left counts on neither side, and the verdict says so
    expect(view.weighing.own.cost.steps.find(({ id: step }) => step === 'value-left')?.amount ?? 0).toBe(0)
    expect(view.weighing.others[0]!.verdict!.unknown).toContain('resale value is not counted on either side')
    expect(view.weighing.others[0]!.comparison!.pairs[0]!.likeForLike).toBe(true)
    const board = view.choices.find((choice) => choice.partId === 'board')!
    await changeChoice(database.db, board.id, { deletedAt: '2026-10-31T10:00:00Z' }, today)
    view = await buildView(database.db, id, today)
    expect(view.fit.findings).toEqual([])
    expect(view.removedChoices.map((choice) => choice.id)).toEqual([board.id])
    await changeChoice(database.db, board.id, { deletedAt: null }, today)
    expect((await buildView(database.db, id, today)).choices).toHaveLength(4)
  })

  test('opens on an empty database from its own file, to the same figures', async () => {
    // alone in its database, it shares its orders with nobody
    for (const other of (await sessionView(database.db, today)).builds)
      await setBuildDeleted(database.db, other.id, '2026-10-31T10:00:00Z')
    const id = await createBuild(database.db, { ...brief, name: 'Round trip' }, today)
    const leadId = await createLead(database.db, { ...lead, title: '=HYPERLINK("x")|Tarn 640' })
    await addChoice(
      database.db,
      id,
      { kind: 'lead', leadId, partId: null, shelfId: null, limit: null, scope: 'core', reason: '=cmd' },
      today,
    )
    await addChoice(
      database.db,
      id,
      {
        kind: 'owned',
        shelfId: 'shelf-2',
        leadId: null,
        partId: null,
        limit: null,
        scope: 'ready',
        reason: '',
      },
      today,
    )
    await setRivals(database.db, id, ['box'], today)
    const file = buildFileSchema.validateSync(JSON.parse(JSON.stringify(await exportBuild(database.db, id))))
    const other = await open('other.db')
    const copy = await importBuild(other.db, file, today)
    const [a, b] = [await buildView(database.db, id, today), await buildView(other.db, copy, today)]
    expect(b.receipt.totals.payNow).toBe(a.receipt.totals.payNow)
    expect(b.weighing.others[0]!.cost).toEqual(a.weighing.others[0]!.cost)
    expect(b.targets.map(({ estimate, verdict }) => ({ estimate, verdict }))).toEqual(
      a.targets.map(({ estimate, verdict }) => ({ estimate, verdict })),
    )
    expect(JSON.parse(JSON.stringify(await exportBuild(other.db, copy)))).toEqual(
      JSON.parse(JSON.stringify(file)),
    )
    expect(linesCsv(a)).toContain("'=cmd")
    expect(buildMarkdown(a)).toContain('| Murrowdun Tarn 640 8 GB | core machine | Pantry | 158.19 |')
  })

  test('a brief is saved whole or not at all, a build archive and brought back', async () => {
    const id = await createBuild(database.db, brief, today)
    await expect(
      saveBrief(
        database.db,
        id,
        { ...brief, name: 'Other', targets: [{ ...brief.targets[0]!, preset: 'mad' }] },
        today,
      ),
    ).rejects.toThrow('no preset "mad"')
    expect((await briefOf(database.db, id)).name).toBe('Couch')
    await setBuildDeleted(database.db, id, '2026-10-31T10:00:00Z')
    await expect(buildView(database.db, id, today)).rejects.toThrow('no build')
    await setBuildDeleted(database.db, id, null)
    expect((await briefOf(database.db, id)).targets).toEqual(brief.targets)
  })
})

describe('a currency without a rate', () => {
  const foreign = { ...lead, title: 'from afar', currency: 'CHF', code: null, rebate: null }
  test('a sold record in it is left out with its reason, the other records still count', async () => {
    const build = await createBuild(database.db, brief, today)
    const before = (await priceView(database.db, build, 'card', today)).kept
    await importSoldRecords(database, {
      name: 'd.csv',
      text: 'id,title,price,date,currency\nchf,Tarn 640 8GB alpine,99,2026-10-20,CHF\n',
      defaults: recordDefaults,
    })
    const view = await priceView(database.db, build, 'card', today)
    expect(view.kept).toBe(before)
    expect(view.records.find((record) => record.currency === 'CHF')).toMatchObject({
      reason: 'price',
      detail: 'no exchange rate from CHF to CAD on or before 2026-10-20',
    })
  })
  test('a lead in it stands apart in the inbox and cannot be chosen; the build stays as it was', async () => {
    const build = await createBuild(database.db, brief, today)
    const id = await createLead(database.db, foreign)
    expect((await leadViews(database.db, build, today)).unvalued).toMatchObject([
      { id, reason: 'no exchange rate from CHF to CAD on or before 2026-10-31' },
    ])
    await expect(
      addChoice(
        database.db,
        build,
        { kind: 'lead', leadId: id, partId: null, shelfId: null, limit: null, scope: 'core', reason: '' },
        today,
      ),
    ).rejects.toThrow(
      'no exchange rate from CHF to CAD on or before 2026-10-31, needed for "from afar"; set that rate in Settings first',
    )
    expect((await buildView(database.db, build, today)).choices).toEqual([])
  })
  test('neither the brief nor a chosen lead can be moved into it', async () => {
    const build = await createBuild(database.db, brief, today)
    const id = await createLead(database.db, { ...lead, title: 'at home' })
    await addChoice(
      database.db,
      build,
      { kind: 'lead', leadId: id, partId: null, shelfId: null, limit: null, scope: 'core', reason: '' },
      today,
    )
    await expect(saveBrief(database.db, build, { ...brief, currency: 'CHF' }, today)).rejects.toMatchObject({
      code: 'no-rate',
      path: 'currency',
    })
    await expect(updateLead(database.db, id, { ...foreign, title: 'at home' }, today)).rejects.toMatchObject({
      code: 'no-rate',
    })
    expect((await briefOf(database.db, build)).currency).toBe('CAD')
    expect((await leadInput(database.db, id)).currency).toBe('CAD')
  })
})

describe('leads', () => {
  test('a CSV: good lines added once, the others told by number', async () => {
    const text =
      'id,source,title,price,parts\n1,pantry,Card,100,card\n2,nowhere,Card,100,card\n' +
      '3,pantry,Card,100,nothing\n4,pantry,Card,-1,card\n5,pantry,Card,5,\n'
    const report = await importLeads(database.db, text, { currency: 'CAD', today })
    expect(report.problems.map((problem) => problem.line)).toEqual([3, 4, 5, 6])
    expect(report.added).toBe(1)
    expect((await importLeads(database.db, text, { currency: 'CAD', today })).alreadyThere).toBe(1)
  })
  test('changing a lead keeps its identity, code and rebate', async () => {
    const id = await createLead(database.db, lead)
    await updateLead(database.db, id, { ...lead, price: '99.00' }, today)
    expect(await leadInput(database.db, id)).toMatchObject({
      price: '99.00',
      code: { word: 'TEN', value: '10.00' },
      rebate: null,
      rebates: [{ amount: '15.00' }],
      things: [{ partId: 'card', quantity: 1, plan: 'keep' }],
    })
    await expect(
      updateLead(
        database.db,
        id,
        { ...lead, things: [{ partId: 'ghost', quantity: 1, plan: 'keep' }] },
        today,
      ),
    ).rejects.toThrow('"ghost" is not in the parts library')
    expect((await leadInput(database.db, id)).things).toHaveLength(1)
  })
  test('a used part of a barred role breaks the house rule', async () => {
    await importLibrary(
      database.db,
      librarySchema.validateSync({
        format: 'tarvin-library',
        version: '1',
        parts: [{ id: 'psu', role: 'supply', make: 'Steadwell', name: '550 W', facts: {} }],
      }),
    )
    const id = await createLead(database.db, {
      ...lead,
      title: 'used supply',
      things: [{ partId: 'psu', quantity: 1, plan: 'keep' }],
    })
    const build = await createBuild(database.db, brief, today)
    expect(
      (await leadViews(database.db, build, today)).leads.find((each) => each.id === id)!.breaches,
    ).toEqual(['your rule: no used power supply (Steadwell 550 W)'])
  })
  test('shop prices: unknown parts and sources are told, the cheapest newest one is the price new', async () => {
    const report = await importShopPrices(
      database.db,
      'source,part,date,price\npantry,card,2026-10-01,240\npantry,card,2026-10-20,219\n' +
        'pantry,ghost,2026-10-20,1\nx,card,2026-10-20,1\n',
      { currency: 'CAD', today },
    )
    expect(report).toMatchObject({ added: 2, rejected: 2 })
    const build = await createBuild(database.db, brief, today)
    expect((await priceView(database.db, build, 'card', today)).newPrice).toBe(21_900)
  })
})
