import { describe, expect, test } from 'vitest'
import type { Part } from '#core/parts/part'
import { readOffer } from '#core/reading/listings/readOffer'
import { queryForPart } from '#core/reading/titles/queryForPart'
import { TitleReader } from '#core/reading/titles/partsInTitle'

/** Single questions to a listing, each text as somebody would write it. */
const today = '2026-10-31'
const part = (id: string, role: string, make: string, facts: object) =>
  ({ id, role, make, name: id, facts }) as Part
const library = [
  part('Quill 70', 'graphics', 'Harrow', { vramGb: 8 }),
  part('Dovecote 5300', 'cpu', 'Linnet', { socket: 'LN-4' }),
  part('Mullion B3', 'motherboard', 'Westing', { socket: 'LN-4' }),
]
const reader = new TitleReader(new Map(library.map((each) => [each.id, queryForPart(each, library)])), today)
const read = (text: string, currency = 'CAD') => readOffer(text, { today, currency, library, reader })

describe('price and currency', () => {
  test.each<[string, string | null, string]>([
    ['Harrow Quill 70 8GB. $110 firm.', '110.00', 'CAD'],
    ['Quill 70 8GB, asking 110 obo', '110.00', 'CAD'],
    ['Quill 70 8GB, was $140, now $110', '110.00', 'CAD'],
    ['Quill 70 8GB für 1.150,00 €', '1150.00', 'EUR'],
    ['Quill 70 8GB, $90 to $120 depending', null, 'CAD'],
    ['Quill 70 8GB, make me an offer', null, 'CAD'],
  ])('%s: %s', (text, price, currency) => {
    const offer = read(text, currency)
    expect(offer.price).toBe(price)
    if (price !== null) expect(offer.priceCurrency).toBe(currency)
  })

  test('things priced apart are added up by their quantity', () => {
    const offer = read('Dovecote 5300 $60 each, have 2\nMullion B3 $50')
    expect(offer.things.find(({ partId }) => partId === 'Mullion B3')?.price).toBe('50.00')
  })
})

describe('does it work', () => {
  test.each([
    ['Quill 70 8GB works perfectly, tested. $110', 'yes'],
    ['Quill 70 8GB dead, no display. $30', 'no'],
    ['Quill 70 8GB untested, sold as is. $40', 'unknown'],
    ['Quill 70 8GB works but you must hit it to start. $40', 'doubtful'],
    ['Quill 70 8GB, should work. $60', 'doubtful'],
    ['Quill 70 8GB. $110', 'unknown'],
  ])('%s: %s', (text, works) => expect(read(text).works).toBe(works))
})

describe('condition', () => {
  test.each([
    ['Quill 70 8GB brand new sealed $150', 'new'],
    ['Quill 70 8GB open box $140', 'opened'],
    ['Quill 70 8GB untested $40', 'damaged'],
    ['Quill 70 8GB for parts $30', 'damaged'],
  ])('%s: %s', (text, condition) => expect(read(text).condition).toBe(condition))
})

describe('what comes with it and what is missing', () => {
  test.each<[string, string[], string[]]>([
    ['Mullion B3 with shield and box. $50', ['shield', 'box'], []],
    ['Mullion B3, no shield. $50', [], ['shield']],
    ['Dovecote 5300 without cooler. $60', [], ['cooler']],
    ['Quill 70 8GB, box and receipt included. $110', ['box', 'receipt'], []],
  ])('%s', (text, includes, lacks) => {
    const offer = read(text)
    expect([[...offer.includes].sort(), [...offer.lacks].sort()]).toEqual([
      [...includes].sort(),
      [...lacks].sort(),
    ])
  })
})

describe('things', () => {
  test('a part of the library by its name, its quantity and its words', () => {
    const [thing] = read('2 x Linnet Dovecote 5300, $60 each, both tested').things
    expect(thing).toMatchObject({ partId: 'Dovecote 5300', quantity: 2, price: '60.00' })
  })
  test('several named are several things', () => {
    const ids = read('Mullion B3 with Dovecote 5300, $110 for both').things.map(({ partId }) => partId)
    expect([...ids].sort()).toEqual(['Dovecote 5300', 'Mullion B3'])
  })
  test('one that the library does not hold has no part, and is not made one', () => {
    const [thing] = read('Some four-core CPU for LN-4, $25').things
    expect(thing!.partId).toBeNull()
  })
})

describe('whether each of several works', () => {
  const works = (text: string) => read(text).things.map((thing) => thing.works)

  test.each([
    ['Mullion B3, works, $50\nDovecote 5300, untested, $60', ['yes', 'unknown']],
    ['Mullion B3 (untested) and Dovecote 5300 (works fine), $110', ['unknown', 'yes']],
    ['Mullion B3 $50\nDovecote 5300, for parts, no picture $10', ['unknown', 'no']],
    // one word for all of them
    ['Mullion B3 $50\nDovecote 5300 $60, both tested', ['yes', 'yes']],
    ['Mullion B3 with Dovecote 5300, $110, works', ['yes', 'yes']],
    ['Mullion B3 with Dovecote 5300, $110\nEverything works', ['yes', 'yes']],
  ])('%s', (text, each) => {
    expect(works(text)).toEqual(each)
  })
})

test('day, delivery and distance as they are said; what is not said stays open', () => {
  const offer = read('Quill 70 8GB $110. Listed 2 days ago. Shipping $12. Works.')
  expect([offer.listedOn, offer.shipping]).toEqual(['2026-10-29', '12.00'])
  expect(read('Quill 70 8GB $110, free shipping')).toMatchObject({ shipping: '0.00', listedOn: null })
  expect(read('Quill 70 8GB $110')).toMatchObject({ shipping: null, place: null, distanceKm: null })
})

test.each([
  ['', 'nothing'],
  ['\u0000\u0001', 'no text'],
  ['word '.repeat(5000), 'a novel'],
])('bad input is read as nothing known, never an error: %#', (text) => {
  const offer = read(text)
  expect([offer.price, offer.works]).toEqual([null, 'unknown'])
})
