import { describe, expect, test } from 'vitest'
import { catalogue } from '../../../demo/catalogue'
import { labelledListings } from '../../../demo/listingTexts'
import { heldBackListingsSeed, measureListings } from '../../../demo/measureListings'
import { modelNumbers } from '#core/reading/listings/modelNumbers'
import { offerSpans } from '#core/reading/listings/offerSpans'
import { readOffer } from '#core/reading/listings/readOffer'
import { TitleReader } from '#core/reading/titles/partsInTitle'
import { queryForPart } from '#core/reading/titles/queryForPart'

const context = {
  today: '2026-10-31',
  currency: 'CAD',
  library: catalogue,
  reader: new TitleReader(
    new Map(catalogue.map((part) => [part.id, queryForPart(part, catalogue)])),
    '2026-10-31',
  ),
}
const read = (text: string) => readOffer(text, context)
const partsOf = (text: string) => read(text).things.flatMap(({ partId }) => partId ?? [])

describe('the text of a listing', () => {
  test.each([
    ['Tarn 640 8GB\nasking $120, paid 299 new', '120.00', 'CAD'],
    ['Tarn 640. I paid 299 new. 120 CAD firm', '120.00', 'CAD'],
    ['Tarn 640\nShipping 12, price 118.50', '118.50', 'CAD'],
    ['Tarn 640 1,250 SEK', '1250.00', 'SEK'],
    ['Tarn 640 95,50 €', '95.50', 'EUR'],
    ['Tarn 640 8 GB, 550W supply needed', null, null],
    ['Threddle 53 104 dollars', '104.00', 'CAD'],
    ['Tarn 640, worth 200, yours for 120', '120.00', 'CAD'],
    ['Tarn 640 $12 shipping $110', '110.00', 'CAD'],
    ['Tarn 640 $110 shipping $12', '110.00', 'CAD'],
    ['price was 140, now asking 120', '120.00', 'CAD'],
    ['Tarn 640, I want 120 for it\nSeen it go for 40 more elsewhere.', '120.00', 'CAD'],
    ['Race 250 GB SSD, 2280, 15 CAD', '15.00', 'CAD'],
    ['Steadwell 400W, low hours 18$', '18.00', 'CAD'],
    ['Tarn 640, like new 104$', '104.00', 'CAD'],
  ])('%j asks %s %s', (text, price, currency) => {
    const listing = read(text)
    expect([listing.price, listing.priceCurrency]).toEqual([price, currency])
  })
  test.each([
    ['Tarn 640 brand new sealed', 'new'],
    ['Tarn 640 opened once', 'opened'],
    ['Tarn 640, refurbished', 'refurbished'],
    ['Tarn 640 8GB for parts', 'damaged'],
    ['Tarn 640, used, thermal paste renewed', 'used'],
    ['Tarn 640, used, new thermal pads (missing box)', 'used'],
    ['Tarn 640', null],
  ])('%j is %s', (text, condition) => expect(read(text).condition).toBe(condition))
  test.each([
    ['Tarn 640, free shipping', '0.00'],
    ['Tarn 640 shipping included', '0.00'],
    ['Tarn 640, can ship for 12', '12.00'],
    ['Tarn 640, 8.50 postage', '8.50'],
    ['Tarn 640 fast shipping 64 obo', null],
    ['Tarn 640', null],
  ])('%j: shipping %s', (text, shipping) => expect(read(text).shipping).toBe(shipping))
  test.each([
    'Tarn 560 8GB\nUsed it with a Sallowfen 5400.\nUpgraded to a Tarn 680. Came out of a Meridon Desk 30 tower',
    'Tarn 560 8GB, $70\nran fine in my Sallowfen 5400 machine',
    'Tarn 560 8GB for gaming PC\n$70',
  ])('what it went with, came out of or makes way for is not offered: %j', (text) =>
    expect(partsOf(text)).toEqual(['murrowdun-tarn-560-8-gb']),
  )
  test('a shield that comes along is no thing of a lot, unless it has a line and a price of its own', () => {
    expect(partsOf('N4 micro with I/O shield, $60')).toEqual(['northpine-n4-micro'])
    expect(partsOf('N4 micro: $60\nTackle I/O shield: $8')).toHaveLength(2)
  })
  test('it names no part where nothing or too much is named, and takes an empty text', () => {
    expect(partsOf('An old lamp, 20 CAD')).toEqual([])
    expect(partsOf('')).toEqual([])
    expect(partsOf('<b>Tarn 640</b> ]]> "')).toHaveLength(1)
  })
  test('300 listings held back: 95 % right of those answered, contents found, at most 10 % abstained', () => {
    const measure = measureListings(labelledListings(heldBackListingsSeed, 300))
    expect(measure.right / measure.answered).toBeGreaterThanOrEqual(0.95)
    expect(measure.contentsFound / measure.contents).toBeGreaterThanOrEqual(0.95)
    expect(measure.abstained / measure.listings).toBeLessThanOrEqual(0.1)
    for (const right of [measure.priceRight, measure.conditionRight, measure.shippingRight])
      expect(right / measure.listings).toBeGreaterThanOrEqual(0.95)
  })
})

test('where a listing says it: parts, ask, state and shipping, in the order of the text', () => {
  const text =
    'Upgrade kit, used\n- Sallowfen 5400\n- N4 micro with I/O shield\n- Palisado 16GB 2x8 DDR4\n180 for all, free shipping'
  const said = offerSpans(text, read(text), context).map(({ what, start, end }) => [
    what,
    text.slice(start, end),
  ])
  expect(said).toEqual([
    ['condition', 'used'],
    ['part', 'Sallowfen 5400'],
    ['part', 'N4 micro'],
    ['part', 'Palisado 16GB 2x8 DDR4'],
    ['ask', '180'],
    ['shipping', 'free shipping'],
  ])
  expect(offerSpans('An old lamp', read('An old lamp'), context)).toEqual([])
})

test('figures of the names of models are no price where they stand alone', () => {
  const library = catalogue.slice(0, 3)
  expect([...modelNumbers(library)]).toEqual([
    ...new Set(library.flatMap(({ name }) => name.match(/\d+/g) ?? [])),
  ])
  expect(modelNumbers(library)).toBe(modelNumbers(library))
})
