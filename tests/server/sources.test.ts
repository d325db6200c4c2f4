import { afterEach, beforeEach, expect, test } from 'vitest'
import { sourceSchema } from '#shared/sources/schemas'
import { removeSource, saveSource, sourceOf } from '#server/places/sources/sources'
import { noteShopPrice } from '#server/places/prices/noteShopPrice'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'

/** Sources changed and removed on screen. */
let place: MarketWithBuild
beforeEach(async () => {
  place = await marketWithBuild()
})
afterEach(() => place.close())

test('a source comes back as its form stated it, a tax of any decimals included', async () => {
  const saved = await sourceOf(place.db, 'shop')
  const changed = sourceSchema.validateSync({ ...saved, taxPercent: 8.25, note: 'ask for the back room' })
  await saveSource(place.db, changed)
  expect(await sourceOf(place.db, 'shop')).toMatchObject({ taxPercent: 8.25, note: 'ask for the back room' })
})

test('one that nothing names is removed; one with prices says what keeps it', async () => {
  await noteShopPrice(
    place.db,
    { partId: 'card', shop: 'Pantry', price: '140.00', currency: 'CAD', date: today },
    today,
  )
  await expect(removeSource(place.db, 'shop')).rejects.toThrow('1 shop price of Pantry kept')
  await removeSource(place.db, 'yard')
  expect(await sourceOf(place.db, 'yard')).toBeNull()
  await expect(removeSource(place.db, 'yard')).rejects.toThrow('there is no source')
})
