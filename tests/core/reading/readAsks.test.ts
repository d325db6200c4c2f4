import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { seenText } from '#core/reading/listings/pageSource'
import { readAsks } from '#core/reading/asks/readAsks'

/** Pages of several asks: where one ends and the next begins, and what stays open. */
const context = { today: '2026-10-31', currency: 'CAD' }
const asksOf = (text: string) => readAsks(text, context)
const priced = (text: string) => asksOf(text).asks.map(({ title, price }) => [title, price])

describe('where an ask begins', () => {
  test('at empty lines; each keeps its own text and lines', () => {
    const { asks, isPage, isShop } = asksOf('Quill 70\n$95\nHarlow\n\nAnvil 650W\n$40\nDunmore')
    expect([isPage, isShop]).toEqual([true, false])
    expect(asks[1]).toEqual({
      title: 'Anvil 650W',
      price: '40.00',
      currency: 'CAD',
      shipping: null,
      condition: null,
      text: 'Anvil 650W\n$40\nDunmore',
      lines: [5, 7],
    })
  })
  test.each<[string, string, [string, string | null][]]>([
    [
      'at the price, where prices stand first',
      '$95\nQuill 70\nHarlow\n$40\nAnvil 650W\nDunmore',
      [
        ['Quill 70', '95.00'],
        ['Anvil 650W', '40.00'],
      ],
    ],
    [
      'as far before the price as the first does',
      'Quill 70\nHarlow\n$95\nAnvil 650W\nDunmore\n$40',
      [
        ['Quill 70', '95.00'],
        ['Anvil 650W', '40.00'],
      ],
    ],
    [
      'with bars between what is told',
      'Quill 70\n$95 · Harlow · 3 km\nAnvil 650W\n$40 · Dunmore · 9 km',
      [
        ['Quill 70', '95.00'],
        ['Anvil 650W', '40.00'],
      ],
    ],
  ])('%s', (_, text, wanted) => expect(priced(text)).toEqual(wanted))

  test('two prices of one thing, or none: it is kept without one, to be asked', () => {
    const page = [
      'Quill 70\n$95',
      'Anvil 650W\n$40\n$55',
      'Drift L9\n$9',
      'Skiff 1TB\nmake me an offer',
      'Gale 120\n$18',
    ]
    expect(priced(page.join('\n\n'))).toEqual([
      ['Quill 70', '95.00'],
      ['Anvil 650W', null],
      ['Drift L9', '9.00'],
      ['Skiff 1TB', null],
      ['Gale 120', '18.00'],
    ])
  })
  test('signs of another currency are told; a shared one means what home says', () => {
    const { asks } = asksOf('Quill 70\n85 €\n\nAnvil 650W\n$40')
    expect(asks.map(({ price, currency }) => `${price} ${currency}`)).toEqual(['85.00 EUR', '40.00 CAD'])
  })
})

describe('what a page is', () => {
  test.each([
    ['one listing with a price', 'Quill 70\nworks fine, with box\n$95'],
    ['things of one listing, each on its line', 'Clearing out\nQuill 70 - $95\nAnvil 650W - $40'],
    ['prose', 'I had a Quill 70 once.\n\nIt was good.\n\nThen I sold it.'],
    ['nothing', ''],
    ['prices without a thing', '$95\n\n$40'],
  ])('%s is no page of several', (_, text) => expect(asksOf(text).isPage).toBe(false))
  test('a table with a day of sale holds sales', () => {
    expect(asksOf('title,price,sold on\nQuill 70,95,2026-10-01\nAnvil,40,2026-10-02').isPage).toBe(false)
  })
  test('a table without one holds asks, with shipping and state where they stand', () => {
    const { asks } = asksOf('title,price,shipping,state\nQuill 70,95,12,used\nAnvil,40,free,like new')
    expect(asks.map(({ price, shipping, condition }) => [price, shipping, condition])).toEqual([
      ['95.00', '12.00', 'used'],
      ['40.00', '0.00', 'used'],
    ])
  })
  test('baskets and stock make it a shop, in any of the languages', () => {
    for (const words of [
      'Add to cart',
      'In den Warenkorb',
      'Ajouter au panier',
      'I lager',
      'Añadir a la cesta',
    ])
      expect(asksOf(`Quill 70\n$95\n${words}\n\nAnvil 650W\n$40\n${words}`).isShop).toBe(true)
  })
})

test('whatever is pasted, every ask has a title, lines in order that hold its text, and nothing breaks', () => {
  const line = fc.oneof(
    fc.constantFrom(
      '',
      'Quill 70',
      '$95',
      'Harlow',
      '· 3 km',
      'was $90 now $80',
      '<p>',
      'B<P',
      '\t',
      ',',
      'x'.repeat(400),
    ),
    fc.string({ maxLength: 40 }),
  )
  fc.assert(
    fc.property(fc.array(line, { maxLength: 30 }), (lines) => {
      const text = lines.join('\n')
      const raw = seenText(text).split(/\r\n|\r|\n/)
      for (const {
        title,
        lines: [from, to],
        text: own,
      } of asksOf(text).asks) {
        expect(title.trim()).not.toBe('')
        expect(title.length).toBeLessThanOrEqual(500)
        expect(from).toBeLessThanOrEqual(to)
        expect(own).toBe(raw.slice(from - 1, to).join('\n'))
      }
    }),
    { numRuns: 300 },
  )
})
