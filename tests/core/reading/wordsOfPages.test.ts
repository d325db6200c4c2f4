import { describe, expect, test } from 'vitest'
import { marksOf, readFigure } from '#core/reading/amounts/findAmounts'
import { amountsOf } from '#core/reading/listings/listingMoney'
import { isOneOf, shippingOf } from '#core/reading/listings/offerMoney'
import { piecesOf } from '#core/reading/listings/offeredPieces'
import { worksOfThing } from '#core/reading/listings/saidState'
import type { Found } from '#core/reading/listings/offer'
import { specsIn } from '#core/reading/specs/specsIn'
import { groupBlocks, titleOf } from '#core/reading/sales/groupBlocks'
import { lineContextOf, linesOf } from '#core/reading/sales/lines/linesOf'
import { columnsOf, tableIn } from '#core/reading/sales/salesTable'
import { wordsFor } from '#core/reading/words/allWords'
import { areOnly, PhraseSet } from '#core/reading/words/phraseSet'
import { plainText, wordsOf } from '#core/text/plainText'

/** The pieces that the readers of pages are put together of. */
const context = { today: '2026-10-31', currency: 'CAD' }
const words = (text: string) => wordsOf(plainText(text))

describe('figures', () => {
  test.each<[string, string, string, string | null]>([
    ['1.150,00', 'EUR', '', '1150.00'],
    ['1,150.00', 'CAD', '', '1150.00'],
    ['4 200', 'SEK', '', '4200.00'],
    ["1'250", 'CHF', '', '1250.00'],
    ['1.250', 'EUR', '', '1250.00'],
    ['1.250', 'EUR', '9.99', null],
    ['12.5', 'CAD', '', '12.50'],
    ['1250', 'JPY', '', '1250'],
    ['1.250', 'KWD', '', null],
  ])('%s %s in a paste with “%s”: %s', (digits, currency, elsewhere, value) =>
    expect(readFigure(digits, currency, marksOf(elsewhere))).toBe(value),
  )
})

describe('amounts of a listing, and what each is', () => {
  test.each<[string, [string | null, string][]]>([
    ['asking 110 obo', [['110.00', 'price']]],
    [
      '$110 plus $12 shipping',
      [
        ['110.00', 'price'],
        ['12.00', 'shipping'],
      ],
    ],
    ['$30 each', [['30.00', 'each']]],
    ['paid $200 new, now $90', [['90.00', 'price']]],
    ['8GB, 650W, 3 years old', []],
  ])('%s', (text, wanted) =>
    expect(
      amountsOf(text, 'CAD')
        .filter(({ kind }) => kind !== 'other')
        .map(({ amount, kind }) => [amount.value, kind]),
    ).toEqual(wanted),
  )
  test('the number of a model alone is no price', () => {
    expect(amountsOf('Dovecote 5300', 'CAD', new Set(['5300']))).toEqual([])
  })
  test.each([
    ['free shipping', '0.00'],
    ['$90 shipped', '0.00'],
    ['pick up only', null],
    ['$90, postage $8', '8.00'],
  ])('shipping of “%s”: %s', (text, wanted) =>
    expect(shippingOf(text, amountsOf(text, 'CAD'), 'CAD')).toBe(wanted),
  )
})

describe('things of a listing', () => {
  const found = (text: string, ...names: string[]): Found[] =>
    names.map((name) => ({
      partId: name,
      role: 'graphics',
      words: name,
      quantity: 1,
      facts: {},
      start: text.indexOf(name),
      end: text.indexOf(name) + name.length,
    }))
  test.each([
    ['Quill 70 or Stook 640, you choose', true],
    ['Quill 70 and Stook 640 together', false],
    ['Quill 70\nStook 640\nonly one of them', true],
  ])('“%s”: one of several %s', (text, is) =>
    expect(isOneOf(text, found(text, 'Quill 70', 'Stook 640'))).toBe(is),
  )
  test('what is said of one alone is said of no other', () => {
    const text = 'Quill 70, works, $60\nStook 640, dead, $9'
    const [quill, stook] = found(text, 'Quill 70', 'Stook 640') as [Found, Found]
    expect(worksOfThing(text, quill, [quill, stook])).toBe('yes')
    expect(worksOfThing(text, stook, [quill, stook])).toBe('no')
    expect(worksOfThing('Quill 70, Stook 640, all work', quill, [quill, stook])).toBeNull()
  })
  test.each<[string, readonly string[], readonly string[]]>([
    ['Quill 70 with box, no cables', ['box'], ['cables']],
    ['Mit Karton, ohne Blende', [], []],
    ['Mullion B3, shield missing', [], ['shield']],
  ])('“%s” comes with %j and without %j', (text, includes, lacks) => {
    const pieces = piecesOf(text, found(text, text.slice(0, 8)))
    for (const name of includes) expect(pieces.includes).toContain(name)
    for (const name of lacks) expect(pieces.lacks).toContain(name)
    expect(pieces.includes.some((name) => pieces.lacks.includes(name))).toBe(false)
  })
})

describe('lines and blocks of a page', () => {
  const lines = (text: string) => linesOf(text.split('\n'), lineContextOf(text, context))
  test('each line has its class, and knows the gap before it', () => {
    expect(lines('Quill 70\n$95\n\nSold Oct 28, 2026').map(({ kind, gap }) => [kind, gap])).toEqual([
      ['title', false],
      ['price', false],
      ['date', true],
    ])
  })
  test('a title and its price on one line are two', () => {
    expect(lines('Quill 70 8GB $95').map(({ kind, raw }) => [kind, raw])).toEqual([
      ['title', 'Quill 70 8GB'],
      ['price', '$95'],
    ])
  })
  test('blocks are parted where most of them are whole; a caption that repeats the title is dropped', () => {
    const { blocks, isOpen } = groupBlocks(
      lines('Quill 70\nQUILL 70\n$95\nSold Oct 28, 2026\n\nStook 640\n$40\nSold Oct 27, 2026'),
    )
    expect([isOpen, blocks.map(titleOf)]).toEqual([false, ['Quill 70', 'Stook 640']])
  })
  test('a date that may belong above or below is open', () => {
    expect(
      groupBlocks(lines('Sold Oct 28\nQuill 70\n$95\nSold Oct 27\nStook 640\n$40\nSold Oct 26')).isOpen,
    ).toBe(true)
  })
  test('the columns of a table by their headers', () => {
    const table = tableIn('Titel;Preis;Verkauft am;Zustand\nQuill 70;95;1.10.2026;gebraucht', context)!
    expect([...columnsOf(table)].sort()).toEqual(['condition', 'price', 'soldOn', 'title'])
  })
  test('specifications parted by empty lines are several, unless one has no kind of its own', () => {
    const cpu = 'Dovecote 5300\nCPU cores: 6\nSocket: LN-4'
    const supply = 'Anvil 650\nPower supply wattage: 650 W'
    expect(specsIn(`${cpu}\n\n${supply}`).map(({ role }) => role)).toEqual(['cpu', 'supply'])
    expect(specsIn(`${cpu}\n\nIn the box: a manual`)).toHaveLength(1)
  })
})

describe('words of one meaning', () => {
  test('in every language at once', () => {
    for (const said of ['sold', 'verkauft', 'vendu', 'vendido', 'såld'])
      expect(wordsFor('sold').has(words(said))).toBe(true)
    expect(wordsFor('sold').has(words('solder'))).toBe(false)
  })
  test('a text of nothing but such phrases, by their longest fit', () => {
    const sets = [new PhraseSet(['free', 'free shipping']), new PhraseSet(['or near offer'])]
    expect(areOnly(words('free shipping or near offer'), sets)).toBe(true)
    expect(areOnly(words('free shipping today'), sets)).toBe(false)
    expect(areOnly([], sets)).toBe(true)
  })
})
