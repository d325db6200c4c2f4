import { describe, expect, test } from 'vitest'
import { readLedger } from '#core/files/import/ledgerFile'
import { readShopPrices } from '#core/files/import/shopPricesFile'
import { proposeColumns, rawLine } from '#core/reading/tables/columns'
import { readCsv } from '#core/reading/tables/readCsv'
import { readCurrency, readDate, readWhole, readWord } from '#core/reading/tables/readFields'
import { readRows } from '#core/reading/tables/readRows'

describe('cells', () => {
  test.each([
    ['2026-10-31', '2026-10-31'],
    ['2026/1/5', '2026-01-05'],
    ['31.10.2026', '2026-10-31'],
    ['2026-10-31T22:14:00Z', '2026-10-31'],
  ])('%s is a date', (cell, date) => expect(readDate(cell)).toBe(date))
  test.each(['31.02.2026', 'soon', '10/31/2026', ''])('"%s" is none', (cell) =>
    expect(() => readDate(cell)).toThrow('is not a date'),
  )
  test('a currency falls back only where nothing is said', () => {
    expect([readCurrency(' sek ', 'CAD'), readCurrency('', 'CAD')]).toEqual(['SEK', 'CAD'])
    expect(() => readCurrency('crowns', 'CAD')).toThrow('not a known currency')
  })
  test('whole numbers and words name what was wrong', () => {
    expect(readWhole(' 4 ', 1, 'quantity')).toBe(4)
    expect(() => readWhole('0', 1, 'quantity')).toThrow('"0" is not a whole number of at least 1')
    const spellings = { used: ['second hand'], new: [] }
    expect(readWord('Second Hand', spellings, 'condition')).toBe('used')
    expect(() => readWord('worn', spellings, 'condition')).toThrow(
      '"worn" is not a valid condition; use one of: used, new',
    )
  })
})

describe('tables', () => {
  test('the delimiter is found by looking, empty lines are passed over', () => {
    const table = readCsv('title;price\nTarn 640;120,00\n\nTarn 660;180,00\n')
    expect(table).toMatchObject({ delimiter: ';', header: ['title', 'price'] })
    expect(table.rows).toHaveLength(2)
  })
  test.each([
    ['', 'empty'],
    ['12.00,13.00\n1,2', 'looks like data'],
    [Array.from({ length: 250 }, (_, i) => `c${i}`).join(','), 'more than 200 columns'],
  ])('%# is refused with the reason', (text, message) => expect(() => readCsv(text)).toThrow(message))
  test('columns are proposed by exact words first, none twice', () => {
    const words = { price: ['price', 'amount'], date: ['date', 'sold'] }
    expect(proposeColumns(['Sold price', 'Amount', 'Date sold'], words)).toEqual({ price: 1, date: 2 })
    expect(proposeColumns(['a', 'b'], words)).toEqual({ price: null, date: null })
    expect(rawLine(['a', 'b'])).toBe('a | b')
  })
  test('a row that cannot be read becomes a problem of its line, the others stay', () => {
    const { read, problems } = readRows([['1'], ['x'], ['3']], ([cell]) => readWhole(cell!, 1, 'n'))
    expect(read.map((each) => each.value)).toEqual([1, 3])
    expect(problems).toMatchObject([{ line: 3, code: 'n', raw: 'x' }])
  })
})

describe('files of shop prices and of a ledger', () => {
  const defaults = { currency: 'CAD', today: '2026-10-31', sourceId: 'shop' }
  test('shop prices: what cannot be is told by line', () => {
    const { read, problems } = readShopPrices(
      'part,price,date\ncard,129.00,2026-10-30\ncard,0,2026-10-30\ncard,130.00,2026-11-02\n',
      defaults,
    )
    expect(read.map(({ value }) => value)).toEqual([
      { sourceId: 'shop', partId: 'card', date: '2026-10-30', price: 12_900, currency: 'CAD' },
    ])
    expect(problems.map(({ line, code }) => [line, code])).toEqual([
      [3, 'price'],
      [4, 'date'],
    ])
  })
  test('a ledger: kinds by name, another currency refused, nothing without an amount', () => {
    const { read, problems } = readLedger(
      'date,kind,what,cash,currency\n2026-10-01,travel,bus,-3.25,CAD\n' +
        '2026-10-02,travel,train,-30.00,SEK\n2026-10-03,travel,walk,,CAD\n',
      defaults,
    )
    expect(read.map(({ value }) => value)).toMatchObject([{ kind: 'travel', text: 'bus', cash: -325 }])
    expect(problems.map(({ reason }) => reason)).toEqual([
      'the ledger is in CAD, but this line is in SEK',
      'enter an amount or hours',
    ])
    expect(() => readLedger('when,sort\n', defaults)).toThrow(
      'missing column "date"; the first line must name date, kind, what and cash, plus currency and hours if needed',
    )
  })
})
