import { afterEach, beforeEach, expect, test } from 'vitest'
import { questionsOf } from '#core/reading/listings/completeness'
import { buildView } from '#server/places/builds/buildView'
import { createLead } from '#server/places/leads/leads'
import { leadViews } from '#server/places/leads/readLeads'
import { addChoice } from '#server/places/machine/choices'
import { exportParts, savePart } from '#server/places/parts/parts'
import { noteShopPrice } from '#server/places/prices/noteShopPrice'
import { priceBriefs, priceView } from '#server/places/prices/readPrices'
import { setOverride, titleQueries, useMarket } from '#server/context/market'
import { leadSchema } from '#shared/leads/schemas'
import { choiceSchema } from '#shared/machine/schemas'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'

/** "Some card with 8 GB": a part of which nobody knows which one it is. */
let place: MarketWithBuild
beforeEach(async () => {
  place = await marketWithBuild()
  await savePart(place.db, {
    id: 'some-card',
    role: 'graphics',
    make: '',
    name: 'some card',
    facts: {} as never,
    open: true,
  })
})
afterEach(() => place.close())
const priced = (id: string) => priceView(place.db, place.build, id, today)

test('is valued as the cheapest that it may be, with what it stands for; a fact more leaves fewer', async () => {
  const cards = (await priceBriefs(place.db, place.build, today)).filter(
    ({ role, partId, marks }) => role === 'graphics' && partId !== 'some-card' && marks !== null,
  )
  expect(cards.length).toBeGreaterThan(0)
  const [cheapest] = [...cards].sort((a, b) => a.marks!.typical - b.marks!.typical)
  const view = await priced('some-card')
  expect(view.standsFor?.partId).toBe(cheapest!.partId)
  expect(view.marks).toEqual(cheapest!.marks)
  expect(view.records).toEqual([])
  // its records decide on, and so does every word on them
  const { records } = await priced(cheapest!.partId)
  const counted = records.filter((record) => record.reason === null)
  await setOverride(
    place.db,
    cheapest!.partId,
    counted.map(({ id }) => id),
    'drop',
  )
  expect((await priced('some-card')).standsFor?.partId).not.toBe(cheapest!.partId)
  await savePart(place.db, {
    id: 'some-card',
    role: 'graphics',
    make: '',
    name: 'some card',
    facts: { vramGb: 999 } as never,
    open: true,
  })
  const none = await priced('some-card')
  expect([none.standsFor, none.marks]).toEqual([null, null])
})

test('a listing of it is kept, valued and asked about; it fits as far as it is known, and titles never mean it', async () => {
  const lead = leadSchema.validateSync({
    sourceId: (await useMarket(place.db)).sources.keys().next().value,
    title: 'some card, works',
    price: '40.00',
    currency: 'CAD',
    condition: 'used',
    manner: 'local',
    listedOn: today,
    things: [{ partId: 'some-card' }],
  })
  const id = await createLead(place.db, lead)
  const shown = (await leadViews(place.db, place.build, today)).leads.find((each) => each.id === id)!
  expect(shown.things[0]).toMatchObject({ partId: 'some-card' })
  expect(shown.value.street).not.toBeNull()
  expect(questionsOf(shown.facts)).toContain('Which graphics card is it exactly?')
  await addChoice(place.db, place.build, choiceSchema.validateSync({ kind: 'lead', leadId: id }), today)
  const view = await buildView(place.db, place.build, today)
  expect(view.parts.some((part) => part.id === 'some-card')).toBe(true)
  expect(view.targets.every(({ estimate }) => estimate === null)).toBe(true)
  expect(titleQueries(await useMarket(place.db)).has('some-card')).toBe(false)
})

test('travels in a library file, and stays open where a form leaves it out', async () => {
  expect((await exportParts(place.db)).parts.find(({ id }) => id === 'some-card')).toMatchObject({
    open: true,
  })
  await savePart(place.db, {
    id: 'some-card',
    role: 'graphics',
    make: '',
    name: 'a card',
    facts: {} as never,
  })
  expect((await useMarket(place.db)).open.has('some-card')).toBe(true)
  await noteShopPrice(
    place.db,
    { partId: 'some-card', shop: 'Pantry', price: '90.00', currency: 'CAD', date: today },
    today,
  )
})
