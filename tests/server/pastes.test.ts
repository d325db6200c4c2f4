import { afterEach, beforeEach, expect, test } from 'vitest'
import { eq } from 'drizzle-orm'
import type { OpenDatabase } from '#server/db/client'
import { importSoldRecords, type RecordsReport } from '#server/places/prices/importRecords'
import { proposalsOf } from '#server/places/prices/proposals'
import { choices } from '#server/db/schema/machine'
import { leads } from '#server/db/schema/leads'
import { parts } from '#server/db/schema/parts'
import { soldRecords } from '#server/db/schema/prices'
import { sources } from '#server/db/schema/sources'
import { setOverride } from '#server/context/market'
import { libraryView } from '#server/context/readLibrary'
import { createBuild } from '#server/places/builds/builds'
import { buildView } from '#server/places/builds/buildView'
import { doublesOf } from '#server/places/pastes/doubles'
import { keepPaste, undoPaste } from '#server/places/pastes/keepPaste'
import { noteShopPrice } from '#server/places/prices/noteShopPrice'
import { priceView } from '#server/places/prices/readPrices'
import { readRates, removeRate, setRate } from '#server/places/settings/rates'
import { sourceOf } from '#server/places/sources/sources'
import { briefSchema } from '#shared/brief/schemas'
import { pasteSchema } from '#shared/pastes/schemas'
import { rateSchema } from '#shared/settings/rates'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'
import { pay } from './purchases'

/** Own data in: pastes, rates and shop prices by hand, on an empty database. */
let place: MarketWithBuild
let build: string
beforeEach(async () => {
  place = await marketWithBuild({ empty: true })
  const brief = { name: 'Attic box', currency: 'CAD', budget: '600', stretch: '600', wantedBy: null }
  build = await createBuild(place.db, briefSchema.validateSync(brief), today)
})
afterEach(() => place.close())

const source = { name: 'Gavelry', kind: 'auction', currency: 'CAD' }
const sale = (price: string, soldOn = '2026-10-28') => ({
  title: `Quill 70 8GB ${price}`,
  price,
  currency: 'CAD',
  soldOn,
})
const card = { id: 'quill-70', role: 'graphics', make: 'Harrow', name: 'Quill 70', facts: { vramGb: 8 } }
const keep = (input: object) => keepPaste(place.db, pasteSchema.validateSync(input), today)
const counts = async () => ({
  sales: await place.db.$count(soldRecords),
  parts: await place.db.$count(parts),
  choices: await place.db.$count(choices),
  sources: await place.db.$count(sources),
  leads: (await place.db.select().from(leads)).filter((row) => row.deletedAt === null).length,
})

test('a paste is kept whole and taken back whole: source, sales, part, hunt and lead', async () => {
  const before = await counts()
  const kept = await keep({
    source,
    sales: [sale('130.00'), sale('126.50'), sale('130.00')],
    parts: [card],
    hunts: [{ buildId: build, partId: 'quill-70', limit: '120.00' }],
    leads: [
      {
        sourceId: 'pasted',
        title: 'Quill 70',
        price: '110.00',
        currency: 'CAD',
        condition: 'used',
        manner: 'local',
        listedOn: today,
        things: [{ partId: 'quill-70' }],
      },
    ],
  })
  expect(kept).toMatchObject({ added: 2, alreadyThere: 1, parts: ['quill-70'] })
  expect(await counts()).toEqual({ sales: 2, parts: 1, choices: 1, sources: 1, leads: 1 })
  expect((await buildView(place.db, build, today)).receipt.totals.payNow).toBe(12_000)
  await undoPaste(place.db, kept.paste)
  const after = await counts()
  expect({ ...after, sources: 0, parts: 0 }).toEqual({ ...before, sources: 0, parts: 0 })
})

test.each([
  [
    'a day to come',
    { source, sales: [sale('130.00'), sale('1.00', '2027-01-01')] },
    '2027-01-01 is in the future',
  ],
  ['a price of nothing', { source, sales: [sale('0')] }, 'the price must be more than 0'],
  ['sales of nowhere', { sales: [sale('130.00')] }, 'enter where these were sold'],
  [
    'a hunt without a price',
    { parts: [card], hunts: [{ buildId: '', partId: 'quill-70' }] },
    'enter the most you would pay',
  ],
  ['the same part twice', { parts: [card, card] }, 'already'],
])('%s leaves nothing half kept', async (_, input, reason) => {
  const before = await counts()
  const hunts = (input as { hunts?: { buildId: string }[] }).hunts?.map((hunt) => ({
    ...hunt,
    buildId: build,
  }))
  await expect(keep({ ...input, ...(hunts ? { hunts } : {}) })).rejects.toThrow(reason)
  expect(await counts()).toEqual(before)
})

test('what is kept already is told before anything is kept, by its place', async () => {
  await keep({ source, sales: [sale('130.00'), sale('126.50')] })
  const asked = (name: string) =>
    doublesOf(place.db, {
      source: name,
      sales: [sale('126.50'), sale('99.00'), sale('130.00'), sale('130.00', '2026-10-27'), sale('dear')],
    })
  expect(await asked('Gavelry')).toEqual([0, 2])
  expect(await asked(' Gavelry ')).toEqual([0, 2])
  expect(await asked('Elsewhere')).toEqual([])
})

test('a part that another tab has made meanwhile is the one that is meant, and stays where this paste is undone', async () => {
  await keep({ parts: [card] })
  const second = await keep({ source, sales: [sale('130.00')], parts: [{ ...card, name: 'Quill 70 8 GB' }] })
  expect(second.parts).toEqual([])
  await undoPaste(place.db, second.paste)
  expect((await counts()).parts).toBe(1)
  await expect(keep({ parts: [{ ...card, role: 'cpu' }] })).rejects.toThrow(
    'Quill 70 is already in the library as graphics card',
  )
})

test('a price of a part that is not there says which one', async () => {
  await expect(
    keep({ source, shopPrices: [{ partId: 'nowhere', price: '5.00', currency: 'CAD' }] }),
  ).rejects.toMatchObject({ code: 'no-part', path: 'shopPrices[0].partId' })
})

test('what was bought since keeps its paste', async () => {
  const { paste } = await keep({
    parts: [card],
    hunts: [{ buildId: build, partId: 'quill-70', limit: '120.00' }],
  })
  const [choice] = await place.db.select().from(choices).where(eq(choices.buildId, build))
  await pay(place.db, [choice!.id])
  await expect(undoPaste(place.db, paste)).rejects.toThrow(
    'cannot undo: something from this paste has been bought',
  )
})

test('a rate by hand, both ways, and a shop price in another currency that it makes known', async () => {
  await keep({ parts: [card] })
  await noteShopPrice(
    place.db,
    { partId: 'quill-70', shop: 'Pantry', price: '100.00', currency: 'EUR', date: today },
    today,
  )
  const fresh = async () => (await priceView(place.db, build, 'quill-70', today)).newPrice
  expect(await fresh()).toBeNull()
  const rate = rateSchema.validateSync({ date: today, from: 'EUR', to: 'CAD', rate: '1.6' })
  expect(await setRate(place.db, rate, today)).toEqual([
    { date: today, from: 'CAD', to: 'EUR', rate: '0.625' },
    { date: today, from: 'EUR', to: 'CAD', rate: '1.6' },
  ])
  expect(await fresh()).toBe(16_000)
  await removeRate(place.db, { date: today, from: 'EUR', to: 'CAD' }, today)
  expect([await fresh(), (await readRates(place.db)).length]).toEqual([null, 1])
  expect(() => rateSchema.validateSync({ ...rate, rate: '0' })).toThrow('more than 0')
})

test('several listings at once, a shop’s prices over one of today, and both taken back', async () => {
  await keep({ parts: [card] })
  const note = (price: string) =>
    noteShopPrice(
      place.db,
      { partId: 'quill-70', shop: 'Pantry', price, currency: 'CAD', date: today },
      today,
    )
  await note('200.00')
  const newPrice = async () => (await priceView(place.db, build, 'quill-70', today)).newPrice
  const lead = (title: string) => ({
    sourceId: 'pasted',
    title,
    price: '90.00',
    currency: 'CAD',
    condition: 'used',
    manner: 'local',
    listedOn: today,
    things: [{ partId: 'quill-70' }],
  })
  const shopPrices = [
    { partId: 'quill-70', price: '180.00', currency: 'CAD' },
    { partId: 'quill-70', price: '175.00', currency: 'CAD' },
  ]
  const shop = { name: 'pantry', kind: 'shop', currency: 'CAD' }
  const { paste, leadIds } = await keep({ source: shop, leads: [lead('one'), lead('two')], shopPrices })
  expect([leadIds.length, (await counts()).leads, await newPrice()]).toEqual([2, 2, 17_500])
  await undoPaste(place.db, paste)
  expect([(await counts()).leads, await newPrice()]).toEqual([0, 20_000])
  // one that was changed by hand since stays
  const again = await keep({ source: shop, shopPrices })
  await note('210.00')
  await undoPaste(place.db, again.paste)
  expect(await newPrice()).toBe(21_000)
  await expect(keep({ shopPrices })).rejects.toMatchObject({ code: 'no-shop' })
  await expect(keep({ source: shop, shopPrices: [{ ...shopPrices[0], price: '0' }] })).rejects.toMatchObject({
    path: 'shopPrices[0].price',
  })
})

test('what a word means is remembered with its source, travels in a library file, and is taken back', async () => {
  const meanings = async () => (await libraryView(place.db)).sources.map((each) => each.meanings)
  const say = (word: string) =>
    keep({ source, sales: [sale(word)], meanings: { condition: { [word]: 'used' } } })
  await say('1.00')
  const { paste } = await say('2.00')
  expect(await meanings()).toEqual([{ manner: {}, condition: { '1.00': 'used', '2.00': 'used' } }])
  expect((await sourceOf(place.db, (await libraryView(place.db)).sources[0]!.id))?.meanings).toBeTruthy()
  await undoPaste(place.db, paste)
  expect(await meanings()).toEqual([{ manner: {}, condition: { '1.00': 'used' } }])
  expect(() => pasteSchema.validateSync({ meanings: { condition: { odd: 'lovely' } } })).toThrow('meanings')
})

test('sales that were taken back count nowhere, not even in what was read before; decisions on them go with them', async () => {
  await keep({ parts: [card] })
  const comps = async () => (await priceView(place.db, build, 'quill-70', today)).kept
  await keep({ source, sales: [sale('130.00'), sale('126.00')] })
  expect(await comps()).toBe(2)
  const { paste } = await keep({ source, sales: [sale('150.00'), sale('151.00')] })
  expect(await comps()).toBe(4)
  const [last] = await place.db.select().from(soldRecords).where(eq(soldRecords.importId, paste))
  await setOverride(place.db, 'quill-70', [last!.id], 'drop')
  expect(await comps()).toBe(3)
  await undoPaste(place.db, paste)
  expect(await comps()).toBe(2)
})

test('an import of past sales: what could be made a part of it, and all of it taken back', async () => {
  const names = [
    'Quill 70 8GB',
    'quill 70 8gb oc',
    'Harrow Quill 70 8GB',
    'Stook 640 4GB',
    'stook 640 4gb',
    'Stook 640 4 GB',
  ]
  const lines = names.map((title, at) => `${title},${100 + at}.00,2026-10-${20 + at}`)
  const import_ = (text: string) =>
    importSoldRecords({ db: place.db, client: place.client } as OpenDatabase, {
      name: 'sales.csv',
      text,
      defaults: { source: 'file', currency: 'CAD', manner: 'fixed', condition: 'used', today },
    })
  const report = (await import_(
    ['title,price,date', ...lines, 'no price,,2026-10-20'].join('\n'),
  )) as RecordsReport
  expect(report).toMatchObject({
    added: 6,
    rejected: 1,
    problems: [{ cells: ['no price', '', '2026-10-20'] }],
  })
  const asked = () => proposalsOf(place.db, report.import, today, 'CAD')
  const { sales, looked } = await asked()
  expect([looked, sales.map(({ group }) => [group.name, group.at.length]).sort()]).toEqual([
    6,
    [
      ['Quill 70 8 GB', 3],
      ['Stook 640 4 GB', 3],
    ],
  ])
  expect(sales.find(({ group }) => group.name === 'Quill 70 8 GB')!.marks?.typical).toBeCloseTo(10_100, -1)
  await keep({ parts: [card] })
  expect((await asked()).sales.map(({ group }) => group.name)).toEqual(['Stook 640 4 GB'])
  await undoPaste(place.db, report.import)
  expect((await counts()).sales).toBe(0)
  await expect(proposalsOf(place.db, 999, today, 'CAD')).rejects.toThrow('there is no import 999')
})
