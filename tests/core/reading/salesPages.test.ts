import { describe, expect, test } from 'vitest'
import { findDate } from '#core/reading/dates/findDate'
import { readSales } from '#core/reading/sales/readSales'

/** Whole pages of past sales: what belongs together, and what on them is nothing of a sale. */
const context = { today: '2026-10-31', currency: 'CAD' }
const read = (text: string) => readSales(text, context)
const soldIn = (text: string) =>
  read(text).records.map(({ title, price, shipping, soldOn }) => [title, price, shipping, soldOn])

describe('what belongs together', () => {
  const page = [
    'Filters\nPrice: $50 – $200\n3 items found',
    'Quill 70 8GB\n$131.00\n+ $9.00 shipping\nSold Oct 27',
    'Sponsored\nQuill 70 new in box\n$249.00\nFree shipping',
    'Quill 70 OC\n$120.00\nOffer accepted\nFree shipping\nSold Oct 25',
    'Stook 640\n$45.00\n+ $9.00 shipping\nSold Oct 24\nFrom Dunmore',
    'About us\n© 2026 Pier Market',
  ].join('\n\n')
  test('is told by empty lines, whatever advertisement stands between: no day moves to another thing', () =>
    expect(soldIn(page)).toEqual([
      ['Quill 70 8GB', '131.00', '9.00', '2026-10-27'],
      ['Quill 70 OC', null, '0.00', '2026-10-25'],
      ['Stook 640', '45.00', '9.00', '2026-10-24'],
    ]))
  test('a day above several things is the day of each; a title above several sales the title of each', () => {
    expect(
      soldIn('Oct 20, 2026\n• Quill 70 – $131.00\n• Stook 640 – $45.00\nOct 11, 2026\n• Quill 70 – $128.00'),
    ).toEqual([
      ['Quill 70', '131.00', null, '2026-10-20'],
      ['Stook 640', '45.00', null, '2026-10-20'],
      ['Quill 70', '128.00', null, '2026-10-11'],
    ])
    expect(soldIn('Quill 70\n  - $131, Oct 22, used\n  - $128, Oct 18, new')).toEqual([
      ['Quill 70', '131.00', null, '2026-10-22'],
      ['Quill 70', '128.00', null, '2026-10-18'],
    ])
  })
  test('a label on a line of its own belongs to the line below it', () =>
    expect(soldIn('Quill 70\nWinning bid\n$131.00\nPostage\n$12.50\nEnded\nSun, 11 Oct 2026')).toEqual([
      ['Quill 70', '131.00', '12.50', '2026-10-11'],
    ]))
})

describe('what on a page is nothing of a sale', () => {
  test.each([
    ['Last updated 2 hours ago', 'a day of the page'],
    ['Buyer protection: $1.20', 'a fee'],
    ['Sold by harlow24 (1,204)', 'the seller'],
    ['Order total $143.50', 'the sum with the shipping'],
  ])('%s: %s', (line) => {
    const sale = (title: string, day: string) =>
      `${title}\nPrice: $131.00\nPostage: $12.50\n${line}\nSold ${day}`
    expect(soldIn(`${sale('Quill 70', 'Oct 12')}\n\n${sale('Stook 640', 'Oct 10')}`)).toEqual([
      ['Quill 70', '131.00', '12.50', '2026-10-12'],
      ['Stook 640', '131.00', '12.50', '2026-10-10'],
    ])
  })
  test('a thing that found nobody is told, not kept', () => {
    const { records, problems } = read(
      'Quill 70\n$131.00\nSold Oct 12\n\nStook 640\n$45.00\nnot sold\nOct 10',
    )
    expect(records.map(({ title }) => title)).toEqual(['Quill 70'])
    expect(problems.map(({ line }) => line)).toContain(5)
  })
})

test('so many at a price, a code beside a sign, and what is paid on top of it', () => {
  expect(read('Quill 70\nSold 2 × $120.00\n19 Oct 2026').records[0]).toMatchObject({
    price: '120.00',
    quantity: 1,
  })
  expect(soldIn('Quill 70\nCAD $131.00\n19 Oct 2026')[0]![1]).toBe('131.00')
  expect(read('Quill 70\n$131.00 USD\n19 Oct 2026').records[0]).toMatchObject({ currency: 'USD' })
  expect(soldIn('Quill 70 | $131.00 + $6.25 | Sold 21/10/2026')[0]).toEqual([
    'Quill 70',
    '131.00',
    '6.25',
    '2026-10-21',
  ])
})

test.each([
  ['Såld 8/10 2026', '2026-10-08'],
  ['sold Oct 21: $74', '2026-10-21'],
  ['Anvil 550W for $31', undefined],
])('%s is the day %s', (text, day) => expect(findDate(text, context)?.date).toBe(day))
