import { describe, expect, test } from 'vitest'
import { readScores } from '#core/reading/scores/readScores'
import { readSales } from '#core/reading/sales/readSales'
import { jsonRows } from '#core/reading/sales/jsonRows'

const context = { today: '2026-10-31', currency: 'CAD' } as const
const first = (text: string) => readSales(text, context).records[0]

describe('one line that says several things', () => {
  test.each([
    ['Quill 70 8GB - sold for $140 on Oct 3', '140.00', null, '2026-10-03'],
    ['Quill 70 8GB - sold for $155 shipped on Sep 28, 2026', '155.00', '0.00', '2026-09-28'],
    ['Quill 70 8GB - $132 + $10 shipping, 2026-09-20', '132.00', '10.00', '2026-09-20'],
    ['Quill 70 8GB - $160 + shipping - 10/14/26', '160.00', null, '2026-10-14'],
    ['3 Oct  Quill 70 8GB  $140', '140.00', null, '2026-10-03'],
    ['Quill 70 8GB ($140, sold 15/10/2026, used)', '140.00', null, '2026-10-15'],
  ])('%s', (text, price, shipping, soldOn) => {
    expect(readSales(text, context).problems).toEqual([])
    expect(first(text)).toMatchObject({ title: 'Quill 70 8GB', price, shipping, soldOn })
  })
})

test('a heading before such lines and a remark behind them belong to none', () => {
  const { records, problems } = readSales(
    'Sold prices I noted\nQuill 70 8GB - $140 on Oct 3\nStook 640 - $60 on Oct 1\nall from one page',
    context,
  )
  expect(records.map(({ title }) => title)).toEqual(['Quill 70 8GB', 'Stook 640'])
  expect(problems.map(({ line, code }) => [line, code])).toEqual([
    [1, 'unread'],
    [4, 'unread'],
  ])
})

describe('what stands around a title is none of it', () => {
  test.each([
    '[SOLD] Quill 70 8GB',
    '• Quill 70 8GB',
    'Item: Quill 70 8GB',
    '🔥 Quill 70 8GB 🔥',
    '**Quill 70 8GB**',
    'Quill 70 8GBQuill 70 8GB',
  ])('%s', (title) => expect(first(`${title}\n$140\nSold Oct 3, 2026`)!.title).toBe('Quill 70 8GB'))
  test('nor words that come again with every thing', () => {
    const { records } = readSales(
      'Quill 70 8GB\nLook closer here\n$140\nSold Oct 3\n\nStook 640\nLook closer here\n$60\nSold Oct 1',
      context,
    )
    expect(records.map(({ title }) => title)).toEqual(['Quill 70 8GB', 'Stook 640'])
  })
})

test('a count beside the price is the quantity; `12 sold` is none', () => {
  expect(first('Lot of 2 Quill 70\n$270\nSold Oct 3\n2 pieces')!.quantity).toBe(2)
  expect(first('Quill 70 pair\n$270\nSold Oct 3\nQuantity: 2')!.quantity).toBe(2)
  expect(first('Quill 70\n$140\n12 sold\nSold Oct 3')!.quantity).toBeNull()
})

test('thousands behind a word for a price, parted by a space', () => {
  expect(
    readSales('Quill 70\nSlutpris 1 250 kr\nAvslutad 12 okt', { ...context, currency: 'SEK' }).records[0]!
      .price,
  ).toBe('1250.00')
})

describe('rows of JSON', () => {
  test('a list, one object a line, and what is neither', () => {
    const rows = [
      { cells: ['title', 'price'], line: 1 },
      { cells: ['Quill 70', '131'], line: 1 },
    ]
    expect(jsonRows('[{"title":"Quill 70","price":131}]')).toEqual(rows)
    expect(jsonRows('{"title":"Quill 70","price":131}')).toEqual(rows)
    expect(jsonRows('{"title":"Quill 70"')).toBeNull()
    expect(jsonRows('[1, 2]')).toBeNull()
    expect(jsonRows('Quill 70\n$131')).toBeNull()
  })
})

test('the source of a page is read as it is seen, however long its one line is', () => {
  const thing = '<div><h3>Quill 70 8GB</h3><p>$140.00</p><p>Sold Oct 3, 2026</p></div>'
  expect(first(`<html><body>${thing}</body></html>`)).toMatchObject({ price: '140.00', soldOn: '2026-10-03' })
  const long = `<div>${'<a href="x">look</a> '.repeat(20_000)}</div>`
  expect(readScores(long).rows).toEqual([])
  expect(readSales(long, context).records).toEqual([])
})
