import { afterEach, beforeEach, expect, test } from 'vitest'
import { eq } from 'drizzle-orm'
import { choices } from '#server/db/schema/machine'
import { leads } from '#server/db/schema/leads'
import { parts } from '#server/db/schema/parts'
import { soldRecords } from '#server/db/schema/prices'
import { sources } from '#server/db/schema/sources'
import { createBuild } from '#server/places/builds/builds'
import { buildView } from '#server/places/builds/buildView'
import { keepPaste, undoPaste } from '#server/places/pastes/keepPaste'
import { noteShopPrice } from '#server/places/prices/noteShopPrice'
import { priceView } from '#server/places/prices/readPrices'
import { readRates, removeRate, setRate } from '#server/places/settings/rates'
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
    lead: {
      sourceId: 'pasted',
      title: 'Quill 70',
      price: '110.00',
      currency: 'CAD',
      condition: 'used',
      manner: 'local',
      listedOn: today,
      things: [{ partId: 'quill-70' }],
    },
  })
  expect(kept).toMatchObject({ added: 2, alreadyThere: 1, parts: ['quill-70'] })
  expect(await counts()).toEqual({ sales: 2, parts: 1, choices: 1, sources: 1, leads: 1 })
  expect((await buildView(place.db, build, today)).receipt.totals.payNow).toBe(12_000)
  await undoPaste(place.db, kept.paste)
  const after = await counts()
  expect({ ...after, sources: 0, parts: 0 }).toEqual({ ...before, sources: 0, parts: 0 })
})

test.each([
  ['a day to come', { source, sales: [sale('130.00'), sale('1.00', '2027-01-01')] }, 'still to come'],
  ['a price of nothing', { source, sales: [sale('0')] }, 'more than zero'],
  ['sales of nowhere', { sales: [sale('130.00')] }, 'say where'],
  ['a hunt without a price', { parts: [card], hunts: [{ buildId: '', partId: 'quill-70' }] }, 'pay up to'],
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

test('what was bought since keeps its paste', async () => {
  const { paste } = await keep({
    parts: [card],
    hunts: [{ buildId: build, partId: 'quill-70', limit: '120.00' }],
  })
  const [choice] = await place.db.select().from(choices).where(eq(choices.buildId, build))
  await pay(place.db, [choice!.id])
  await expect(undoPaste(place.db, paste)).rejects.toThrow('was bought since')
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
