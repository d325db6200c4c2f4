import { describe, expect, test } from 'vitest'
import { catalogue, cataloguePart } from '../../../demo/catalogue'
import { labelledListings } from '../../../demo/listingTexts'
import { heldBackListingsSeed, measureListings } from '../../../demo/measureListings'
import { readListing } from '#core/reading/listings/readListing'
import { TitleReader } from '#core/reading/titles/partsInTitle'
import { queryForPart } from '#core/reading/titles/queryForPart'

const reader = new TitleReader(
  new Map(catalogue.map((part) => [part.id, queryForPart(part, catalogue)])),
  '2026-10-31',
)
const read = (text: string) => readListing(text, reader, (id) => cataloguePart(id).role === 'extra')

describe('readListing', () => {
  test.each([
    ['Tarn 640 8GB\nasking $120, paid 299 new', '120', null],
    ['Tarn 640. I paid 299 new. 120 CAD firm', '120', 'CAD'],
    ['Tarn 640\nShipping 12, price 118.50', '118.50', null],
    ['Tarn 640 1,250 SEK', '1250', 'SEK'],
    ['Tarn 640 95,50 €', '95.50', 'EUR'],
    ['Tarn 640 8 GB, 550W supply needed', null, null],
    ['Threddle 53 104 dollars', '104', null],
    ['Tarn 640, worth 200, yours for 120', '120', null],
    ['Tarn 640 $12 shipping $110', '110', null],
    ['price was 140, now asking 120', '120', null],
  ])('%j asks %s %s', (text, price, currency) => {
    const listing = read(text)
    expect([listing.price?.value ?? null, listing.currency?.value ?? null]).toEqual([price, currency])
  })
  test.each([
    ['Tarn 640 brand new sealed', 'new'],
    ['Tarn 640 opened once', 'opened'],
    ['Tarn 640, refurbished', 'refurbished'],
    ['Tarn 640 8GB for parts', 'damaged'],
    ['Tarn 640, never opened it up, used', 'used'],
    ['Tarn 640', 'used'],
  ])('%j is %s', (text, condition) => expect(read(text).condition.value).toBe(condition))
  test.each([
    ['Tarn 640, free shipping', '0'],
    ['Tarn 640 shipping included', '0'],
    ['Tarn 640, can ship for 12', '12'],
    ['Tarn 640, 8.50 postage', '8.50'],
    ['Tarn 640 fast shipping 64 obo', null],
    ['Tarn 640', null],
  ])('%j: shipping %s', (text, shipping) => expect(read(text).shipping?.value ?? null).toBe(shipping))
  test('what it came out of and what it replaces is not offered', () => {
    expect(
      read(
        'Tarn 560 8GB\nUsed it with a Sallowfen 5400.\nUpgraded to a Tarn 680. Came out of a Meridon Desk 30 tower',
      ),
    ).toMatchObject({ kind: 'single', parts: [{ value: 'murrowdun-tarn-560-8-gb' }] })
  })
  test('a lot gives its contents with the places that say so; a shield that comes along is no thing of it', () => {
    const text =
      'Upgrade kit\n- Sallowfen 5400\n- N4 micro with I/O shield\n- Palisado 16GB 2x8 DDR4\n180 for all'
    const listing = read(text)
    expect(listing.kind).toBe('lot')
    expect(listing.parts.map((part) => [part.value, text.slice(part.span!.start, part.span!.end)])).toEqual([
      ['kaldric-sallowfen-5400', 'Sallowfen 5400'],
      ['northpine-n4-micro', 'N4 micro'],
      ['palisado-16-gb-ddr4-2-8', 'Palisado 16GB 2x8 DDR4'],
    ])
  })
  test('it abstains where nothing or too much is named, and takes an empty text', () => {
    expect(read('An old lamp, 20 CAD').kind).toBe('unknown')
    expect(read('').kind).toBe('unknown')
    expect(read('<b>Tarn 640</b> ]]> "').parts).toHaveLength(1)
  })
  test('300 listings held back: 95 % right of those answered, 90 % of the contents found, at most 15 % abstained', () => {
    const measure = measureListings(labelledListings(heldBackListingsSeed, 300))
    expect(measure.right / measure.answered).toBeGreaterThanOrEqual(0.95)
    expect(measure.contentsFound / measure.contents).toBeGreaterThanOrEqual(0.9)
    expect(measure.abstained / measure.listings).toBeLessThanOrEqual(0.15)
    expect(measure.priceRight / measure.listings).toBeGreaterThanOrEqual(0.95)
  })
})
