import { describe, expect, test } from 'vitest'
import { jsonRows } from '#core/reading/sales/jsonRows'
import { readSales } from '#core/reading/sales/readSales'
import { byHeader, currencyOfHeader } from '#core/reading/sales/salesHeaders'
import { wordsApart } from '#core/text/wordsApart'
import { columnsOf, tableIn } from '#core/reading/sales/salesTable'
import { saysUnsold } from '#core/reading/sales/unsold'

/** Tables of past sales: what their headers say, what stands under them, and where the two differ. */
const context = { today: '2026-10-31', currency: 'CAD' }
const rowsOf = (text: string) =>
  readSales(text, context).records.map(({ title, price, shipping, currency, soldOn }) => [
    title,
    price,
    shipping,
    currency,
    soldOn,
  ])

describe('headers', () => {
  test.each([
    ['price_usd', 'USD'],
    ['Preis (€)', 'EUR'],
    ['Price CAD', 'CAD'],
    ['$', 'CAD'],
    ['price', null],
    ['Prix TTC', null],
    ['sold for', null],
  ])('%s names the currency %s', (cell, currency) => expect(currencyOfHeader(cell, 'CAD')).toBe(currency))
  test('of two words in one, each counts; a price of shipping is none', () => {
    expect(wordsApart('soldPrice')).toBe('sold Price')
    const columns = byHeader(['soldPrice', 'shippingPrice', 'itemTitle', 'sold_date'])
    expect(Object.fromEntries(columns)).toEqual({ price: 0, shipping: 1, title: 2, soldOn: 3 })
  })
  test('a cell with a figure in it is no header', () => {
    expect(byHeader(['Price: $41', 'title']).has('price')).toBe(false)
  })
})

describe('what stands under a header', () => {
  test('a column of days is no price, whatever it is called', () =>
    expect(rowsOf('sold_at\ttitle\tprice\n2026-10-12\tQuill 70\t131\n2026-10-10\tQuill 70\t128')).toEqual([
      ['Quill 70', '131.00', null, 'CAD', '2026-10-12'],
      ['Quill 70', '128.00', null, 'CAD', '2026-10-10'],
    ]))
  test('a day and a price that no header names are found; the currency of the header is theirs', () =>
    expect(rowsOf('Thing;Gone;EUR\nQuill 70;12.10.2026;131,50\nQuill 70;10.10.2026;128,00')).toEqual([
      ['Quill 70', '131.50', null, 'EUR', '2026-10-12'],
      ['Quill 70', '128.00', null, 'EUR', '2026-10-10'],
    ]))
  test('the day a thing was put up is not the day it was sold', () => {
    const table = tableIn('title,price,listed\nQuill 70,95,2026-10-29\nAnvil 650W,45,2026-10-30', context)
    expect(columnsOf(table!)).toEqual(['title', 'price'])
  })
  test('a count is no price where nothing is dated', () =>
    expect(tableIn('Model,Type,Cores\nDovecote 5300,CPU,6\nOrrery 7,CPU,8', context)).toBeNull())
})

test('without a header the numbers of the rows are no prices, and what says free is shipping', () =>
  expect(
    rowsOf('1 | Quill 70 | $131.00 | free | 12 Oct\n2 | Quill 70 OC | $140.00 | $9.00 ship | 10 Oct'),
  ).toEqual([
    ['Quill 70', '131.00', '0.00', 'CAD', '2026-10-12'],
    ['Quill 70 OC', '140.00', '9.00', 'CAD', '2026-10-10'],
  ]))

test('columns set apart by blanks, under a caption', () =>
  expect(
    rowsOf('Item          Sold      Price\nQuill 70      12 Oct    $131.00\nQuill 70 OC   10 Oct    $140.00'),
  ).toHaveLength(2))

test('what was not sold is told and left out', () => {
  const { records, problems } = readSales(
    'title,price,date,state\nQuill 70,131,2026-10-12,used\nQuill 70,150,2026-10-11,unsold\nQuill 70,128,2026-10-10,used',
    context,
  )
  expect(records.map(({ price }) => price)).toEqual(['131.00', '128.00'])
  expect(problems).toEqual([expect.objectContaining({ line: 3, code: 'unread', message: 'not sold' })])
  expect(
    ['unsold', 'Nicht verkauft', 'sold', 'unsold stock of 12 cards, all of them tested twice'].map(
      saysUnsold,
    ),
  ).toEqual([true, true, false, false])
})

describe('objects', () => {
  test('in objects have both names; an amount with its code is one cell', () =>
    expect(jsonRows('[{"item":{"title":"Quill 70"},"price":{"amount":"131.00","currency":"CAD"}}]')).toEqual([
      { cells: ['item title', 'price'], line: 1 },
      { cells: ['Quill 70', '131.00 CAD'], line: 1 },
    ]))
  test('the longest list that stands in an object is read', () =>
    expect(
      jsonRows('{"facets":[{"n":1}],"data":{"items":[{"title":"a"},{"title":"b"}]}}')!.map(
        ({ cells }) => cells,
      ),
    ).toEqual([['title'], ['a'], ['b']]))
  test.each(['[]', '{}', '[1,2]', '{"a":', 'Quill 70'])('%s holds none', (text) =>
    expect(jsonRows(text)?.slice(1) ?? []).toEqual(text === '{}' ? [{ cells: [], line: 1 }] : []),
  )
})
