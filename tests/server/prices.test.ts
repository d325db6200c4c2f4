import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { demoFiles } from '../../demo/files'
import { demoToday } from '../../demo/trade'
import type { OpenDatabase } from '#server/db/client'
import { addChoice } from '#server/places/machine/choices'
import { createBuild } from '#server/places/builds/builds'
import { saveBrief } from '#server/places/brief/brief'
import { buildView } from '#server/places/builds/buildView'
import { importRecordsText } from './importText'
import { importShopPrices } from '#server/places/prices/importShopPrices'
import { createLead } from '#server/places/leads/leads'
import { importLibrary } from '#server/places/parts/importLibrary'
import { recordPool, setOverride, setQuery } from '#server/context/market'
import { lookoutHits, seeHit, setLookout, setLookoutDeleted } from '#server/places/prices/lookouts'
import { newOrUsedSheet } from '#server/places/prices/readNewOrUsed'
import {
  applyRecipe,
  keepRead,
  keepRecipe,
  noteOpinion,
  noteToWaitFor,
  recipes,
  setOwnFigure,
  setReadDeleted,
  setWaitNoteDeleted,
} from '#server/places/prices/notes'
import { priceView } from '#server/places/prices/readPrices'
import { worthView } from '#server/places/prices/readWorth'
import { openTestDatabase, temporaryFolder } from './testDatabase'
import { briefSchema } from '#shared/brief/schemas'
import { choiceSchema } from '#shared/machine/schemas'
import { leadSchema } from '#shared/leads/schemas'
import { librarySchema } from '#shared/parts/libraryFile'

/** The services behind Prices, on the demo's market in a real database file. */
const folder = temporaryFolder()
const card = 'murrowdun-tarn-640-8-gb'
let database: OpenDatabase
let build: string
const brief = briefSchema.validateSync({
  name: 'Couch',
  currency: 'CAD',
  budget: '620.00',
  stretch: '680.00',
  wantedBy: '2026-11-21',
  houseRules: { neverUsed: ['supply'] },
  targets: [
    { workloadId: 'lantern-drift', width: 2560, height: 1440, preset: 'high', averageFps: 60, lowFps: 45 },
    { workloadId: 'kite-arena', width: 1920, height: 1080, preset: 'medium', averageFps: 120, lowFps: 80 },
  ],
})
const lead = (title: string, price: string, change: object = {}) =>
  leadSchema.validateSync({
    sourceId: 'barnstall',
    title,
    price,
    currency: 'CAD',
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-30',
    things: [{ partId: card }],
    ...change,
  })
const view = (part = card) => priceView(database.db, build, part, demoToday)

beforeAll(async () => {
  database = await openTestDatabase(join(folder, 'prices.db'))
  const files = demoFiles()
  await importLibrary(database.db, librarySchema.validateSync(JSON.parse(files['library.json']!)))
  await importRecordsText(database, files['sold-records.csv']!)
  await importShopPrices(database.db, files['shop-prices.csv']!, { currency: 'CAD', today: demoToday })
  build = await createBuild(database.db, brief, demoToday)
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

describe('dated reads', () => {
  test('an earlier day is read from the records of that time and held against today', async () => {
    await keepRead(database.db, build, card, { readOn: '2026-09-15', note: 'first' }, demoToday)
    await keepRead(database.db, build, card, { readOn: '2026-09-15', note: 'again' }, demoToday)
    const { reads, change, marks } = await view()
    expect(reads).toHaveLength(1)
    expect(reads[0]).toMatchObject({ readOn: '2026-09-15', note: 'again' })
    expect(change!.percent).toBeCloseTo(100 * (marks!.typical / reads[0]!.typical - 1), 9)
    expect(change!.percent).toBeLessThan(-3) // the generator lets it fall by 8 % a month
    await setReadDeleted(database.db, String(reads[0]!.id), demoToday)
    await expect(setReadDeleted(database.db, 'abc', demoToday)).rejects.toThrow(
      'there is no saved price "abc"',
    )
    expect((await view()).change).toBeNull()
  })
  test('nothing is kept of the future, nor where no comps are', async () => {
    await expect(
      keepRead(database.db, build, card, { readOn: '2026-11-01', note: '' }, demoToday),
    ).rejects.toThrow('2026-11-01 is in the future')
    await expect(
      keepRead(database.db, build, 'tackle-controller', { readOn: undefined, note: '' }, demoToday),
    ).rejects.toThrow('no comps')
    await expect(
      keepRead(database.db, build, 'ghost', { readOn: undefined, note: '' }, demoToday),
    ).rejects.toThrow('no part "ghost"')
  })
})

describe("recipes and figures of one's own", () => {
  test('a recipe brings its settings to another part, whose words and facts stay', async () => {
    const before = (await view()).query
    await setQuery(database.db, card, { ...before, mustNot: ['mining'], windowDays: 60 })
    const id = await keepRecipe(database.db, { name: 'no miners', partId: card })
    expect((await recipes(database.db)).map((each) => each.name)).toEqual(['no miners'])
    const other = 'sundrel-stook-51-8-gb'
    const own = (await view(other)).query
    await applyRecipe(database.db, id, other)
    expect((await view(other)).query).toMatchObject({
      must: own.must,
      variant: own.variant,
      mustNot: ['mining'],
      windowDays: 60,
    })
    await setQuery(database.db, card, null)
    await setQuery(database.db, other, null)
    expect((await view()).query).toEqual(before)
  })
  test('a figure stands against the sample', async () => {
    await setOwnFigure(database.db, build, card, { amount: '120.00', note: '' }, demoToday)
    const { ownFigure, records } = await view()
    expect(ownFigure!.standing.below).toBe(
      records.filter((record) => record.unitPrice !== null && record.unitPrice < 12_000).length,
    )
    await expect(
      setOwnFigure(database.db, build, card, { amount: '0', note: '' }, demoToday),
    ).rejects.toThrow('your figure must be more than 0')
    await setOwnFigure(database.db, build, card, null, demoToday)
    expect((await view()).ownFigure).toBeNull()
  })
  test('the pool of a query holds what it can count, and no part of the rest', async () => {
    const { query, records } = await view()
    const pool = await recordPool(database.db, card, query.must)
    expect(pool.records.length).toBeGreaterThanOrEqual(records.length)
    expect((await recordPool(database.db, card, ['nothing says this'])).records).toEqual([])
  })
})

describe('new or used, worth buying', () => {
  test(
    'a house rule bars the used supply and shows what it costs; notes to wait for move ' +
      'the price by their chance',
    async () => {
      const supply = await view('steadwell-550-w')
      expect(supply.newOrUsed).toMatchObject({ advice: 'new', byHouseRule: true })
      const note = await noteToWaitFor(database.db, {
        role: 'graphics',
        partId: null,
        what: 'a launch',
        expectedOn: '2026-11-10',
        dropPercent: 10,
        chance: 0.5,
      })
      const { usedLater, marks, trend } = await view()
      const trended = Math.round(
        marks!.typical *
          (trend!.direction === 'unclear' ? 1 : (1 + trend!.percentPer30Days / 100) ** (21 / 30)),
      )
      expect(usedLater!.later).toBe(trended - Math.round(trended * 0.05))
      await setWaitNoteDeleted(database.db, note, demoToday)
    },
  )
  test('the patience of the brief says which mark is weighed', async () => {
    await saveBrief(
      database.db,
      build,
      { ...brief, houseRules: { ...brief.houseRules, patience: 'patient' } },
      demoToday,
    )
    const { newOrUsed, marks } = await view()
    expect(newOrUsed.used!.price).toBe(marks!.patient)
    await saveBrief(database.db, build, brief, demoToday)
  })
  test('the sheet holds what is still to be bought, the worth is in the targets once the machine is whole', async () => {
    for (const partId of ['kaldric-sallowfen-6600', card, 'palisado-16-gb-ddr4-2-8', 'northpine-n4-micro'])
      await addChoice(
        database.db,
        build,
        choiceSchema.validateSync({ kind: 'hunt', partId, limit: '100.00' }),
        demoToday,
      )
    const sheet = await newOrUsedSheet(database.db, build, demoToday)
    expect(sheet.map((row) => row.role)).toEqual(['cpu', 'motherboard', 'memory', 'graphics'])
    const worth = await worthView(database.db, build, 'graphics', demoToday)
    expect(worth.byTargets).toBe(true)
    const steps = worth.rows.filter((row) => row.step)
    for (const [index, row] of steps.entries())
      if (index > 0)
        expect(
          row.price! > steps[index - 1]!.price! && row.targetRatio! >= steps[index - 1]!.targetRatio!,
        ).toBe(true)
    expect(worth.rows.find((row) => row.partId === card)!.inBuild).toBe(true)
    expect(
      (await worthView(database.db, build, 'cpu', demoToday)).rows.find((row) => row.platform === 'TD-B')!
        .goesWith,
    ).toBe(false)
    await noteOpinion(
      database.db,
      { partId: card, guide: 'Gazette', saidOn: '2026-10-01', verdict: 'buy', note: '' },
      demoToday,
    )
    expect(
      (await worthView(database.db, build, 'graphics', demoToday)).rows.find((row) => row.partId === card)!
        .agreement,
    ).toMatchObject({ state: 'one-voice', verdict: 'buy' })
    await expect(
      noteOpinion(
        database.db,
        { partId: card, guide: 'Gazette', saidOn: '2027-01-01', verdict: 'buy', note: '' },
        demoToday,
      ),
    ).rejects.toThrow('in the future')
  })
  test('hunts together: the chance of all is the product of each', async () => {
    const { hunts, choices } = await buildView(database.db, build, demoToday)
    const each = choices.filter((choice) => choice.kind === 'hunt')
    expect(hunts!.count).toBe(4)
    expect(hunts!.chanceByDate).toBeCloseTo(
      each.reduce((product, choice) => product * choice.chanceByDate!, 1),
      9,
    )
  })
})

describe('lookouts', () => {
  test('what lands at or below the limit hits once; damaged, dearer and seen ones do not; a lot by its share', async () => {
    const db = database.db
    const cheap = await createLead(db, lead('Tarn 640', '118.00'))
    const at = await createLead(db, lead('Tarn 640 b', '120.00'))
    await createLead(db, lead('Tarn 640 c', '120.01'))
    await createLead(db, lead('Tarn 640 d', '50.00', { condition: 'damaged' }))
    const lot = await createLead(
      db,
      lead('lot', '150.00', { things: [{ partId: card }, { partId: 'northpine-n4-micro' }] }),
    )
    const first = await setLookout(db, build, { partId: card, limit: '90.00' }, demoToday)
    expect(await lookoutHits(db, demoToday, build)).toEqual([])
    const second = await setLookout(db, build, { partId: card, limit: '120.00' }, demoToday)
    expect(second).not.toBe(first)
    expect((await lookoutHits(db, demoToday)).map((hit) => hit.leadId).sort()).toEqual(
      [at, cheap, lot].sort(),
    )
    await seeHit(db, second, cheap, demoToday)
    expect((await lookoutHits(db, demoToday, build)).map((hit) => hit.leadId).sort()).toEqual(
      [at, lot].sort(),
    )
    await setLookoutDeleted(db, second, demoToday)
    expect(await lookoutHits(db, demoToday)).toEqual([])
    await expect(setLookout(db, build, { partId: 'ghost', limit: '1.00' }, demoToday)).rejects.toThrow(
      '"ghost" is not in the parts library',
    )
    await expect(seeHit(db, 'ghost', cheap, demoToday)).rejects.toThrow('there is no watch "ghost"')
  })
})

describe('nonsense', () => {
  test('a part or a record that is not there is told, and nothing of it stays', async () => {
    const { query, records } = await view()
    await expect(setQuery(database.db, 'ghost', query)).rejects.toThrow('no part "ghost"')
    await expect(setQuery(database.db, 'ghost', null)).rejects.toThrow('no part "ghost"')
    await expect(setOverride(database.db, 'ghost', [records[0]!.id], 'drop')).rejects.toThrow(
      'no part "ghost"',
    )
    await expect(setOverride(database.db, card, [records[0]!.id, 99_999_999], 'drop')).rejects.toThrow(
      'no sold record 99999999',
    )
    expect((await view()).records.every((record) => record.decision === null)).toBe(true)
  })
})
