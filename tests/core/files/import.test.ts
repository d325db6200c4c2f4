import { describe, expect, test } from 'vitest'
import { decodeText } from '#core/reading/tables/decodeText'
import { jsonLdOffers } from '#core/reading/listings/jsonLdOffers'
import { readLeads } from '#core/files/import/leadsFile'
import { readPrice } from '#core/reading/tables/readFields'
import { readSoldRecords } from '#core/files/import/soldRecordsFile'
import { csvTable } from '#core/files/export/csvCell'
import { markdownText } from '#core/files/export/markdownText'

const defaults = {
  source: 'file',
  currency: 'CAD',
  manner: 'fixed',
  condition: 'used',
  today: '2026-10-31',
} as const
const read = (text: string) => readSoldRecords(text, defaults)
const bytes = (text: string) => new TextEncoder().encode(text)

describe('readSoldRecords', () => {
  test('any column order, by header; what the file leaves out comes from the defaults', () => {
    const { records, problems } = read('sold on,item,amount\n2026-10-01,Tarn 640,120.50\n')
    expect(problems).toEqual([])
    expect(records[0]).toMatchObject({
      title: 'Tarn 640',
      price: 12_050,
      shipping: 0,
      soldOn: '2026-10-01',
      source: 'file',
      manner: 'fixed',
      condition: 'used',
      quantity: null,
    })
  })
  test.each([
    ['Bezeichnung;Verkaufspreis;Versandkosten;Währung;Verkauft am;Zustand'],
    ['Objet;Prix de vente;Frais de port;Devise;Vendu le;État'],
    ['Título;Precio final;Gastos de envío;Divisa;Fecha de venta;Estado'],
    ['Benämning;Slutpris;Frakt;Valuta;Såld den;Skick'],
    ['itemTitle;soldPrice;postage;cur;endDate;cond'],
  ])('the headers of a file are known by the words a paste knows: %s', (header) => {
    const { records, problems } = read(`${header}\nTarn 640;120,50;9,00;EUR;01.10.2026;used\n`)
    expect(problems).toEqual([])
    expect(records[0]).toMatchObject({
      title: 'Tarn 640',
      price: 12_050,
      shipping: 900,
      currency: 'EUR',
      soldOn: '2026-10-01',
      condition: 'used',
    })
  })
  test('semicolons, decimal commas and dates with points', () => {
    expect(read('Title;Price;Date\nTarn 640;1.129,50;01.10.2026\n').records[0]).toMatchObject({
      price: 112_950,
      soldOn: '2026-10-01',
    })
  })
  test('each line that cannot be understood is told by number and reason, the others are read', () => {
    const { records, problems } = read(
      [
        'title,price,date,currency',
        'a,-5,2026-10-01,CAD',
        'b,12,2026-11-01,CAD',
        'c,12,2026-10-01,QQQ',
        'd,x,2026-10-01,CAD',
        ',12,2026-10-01,CAD',
        'e,12,31 Oct,CAD',
        'f,12,2026-10-01,sek',
      ].join('\n'),
    )
    expect(problems.map((problem) => [problem.line, problem.reason])).toEqual([
      [2, 'the price must be more than 0'],
      [3, '2026-11-01 is in the future'],
      [4, '"QQQ" is not a known currency code'],
      [5, '"x" is not a price'],
      [6, 'no title'],
      [7, '"31 Oct" is not a date; write 2026-10-31'],
    ])
    expect(records.map((record) => [record.title, record.currency])).toEqual([['f', 'SEK']])
  })
  test('without a number of its own a line is known by its date, price and title', () => {
    const text = 'title,price,date\nTarn 640,12,2026-10-01\n'
    expect(read(text).records[0]!.externalId).toBe(read(text).records[0]!.externalId)
  })
  test.each([
    ['', 'empty-file'],
    ['   \n', 'empty-file'],
    ['Tarn 640,12.00,2026-10-01\n12,13,14', 'no-header'],
    ['colour,size\nred,4', 'no-column'],
    ['1,2,3\n4,5,6', 'no-header'],
    [`${'a,'.repeat(1000)}b\n1`, 'too-many-columns'],
  ])('%j is refused whole: %s', (text, code) => {
    expect(() => read(text)).toThrowError(expect.objectContaining({ code }))
  })
  test('a preview of a file without known columns still shows its header', () => {
    expect(readSoldRecords('foo,bar\n1x,2y', defaults, undefined, true)).toMatchObject({
      header: ['foo', 'bar'],
      records: [],
    })
  })
})

describe('readPrice', () => {
  test.each([
    ['129.50', 12_950],
    ['129,5', 12_950],
    ['1 299.00', 129_900],
    ['1,299.00', 129_900],
    ['1.299', 129_900],
    ['CA$ 45', 4500],
    ['45.-', 4500],
  ])('%j', (text, amount) => expect(readPrice(text, 'CAD')).toBe(amount))
})

describe('decodeText', () => {
  test('UTF-8, UTF-16 and Western bytes', () => {
    expect(decodeText(bytes('café')).text).toBe('café')
    expect(decodeText(new Uint8Array([0xff, 0xfe, 0x61, 0, 0xe9, 0])).text).toBe('aé')
    expect(decodeText(new Uint8Array([0x63, 0xe9])).text).toBe('cé')
  })
  test('a picture, a spreadsheet or any binary says what it is', () => {
    expect(() => decodeText(new Uint8Array([0x89, 0x50, 0x4e, 0x47]))).toThrow('a picture (PNG)')
    expect(() => decodeText(new Uint8Array([0x50, 0x4b, 3, 4]))).toThrow('spreadsheet')
    expect(() => decodeText(new Uint8Array([65, 0, 66]))).toThrow('binary')
  })
})

describe('jsonLdOffers', () => {
  const page = (json: string) => `<html><script type="application/ld+json">${json}</script></html>`
  test('a product with its offer', () => {
    const json = JSON.stringify({
      '@context': 'https://schema.org',
      '@type': 'Product',
      name: 'Tarn 640 <b>',
      sku: 'X1',
      offers: {
        '@type': 'Offer',
        price: 118.5,
        priceCurrency: 'CAD',
        itemCondition: 'https://schema.org/UsedCondition',
        seller: { name: 'Barnstall' },
      },
    })
    expect(jsonLdOffers(page(json))).toEqual([
      {
        title: 'Tarn 640 <b>',
        price: '118.5',
        currency: 'CAD',
        condition: 'used',
        url: null,
        seller: 'Barnstall',
        id: 'X1',
        shipping: null,
        place: null,
        available: true,
        validUntil: null,
      },
    ])
  })
  test('three products are three offers, wherever they stand in the graph', () => {
    const product = (name: string) => ({
      '@type': ['Product'],
      name,
      offers: [{ '@type': 'Offer', price: '1' }],
    })
    expect(
      jsonLdOffers(
        page(
          JSON.stringify({
            '@graph': [
              product('a'),
              { '@type': 'ItemList', itemListElement: [{ item: product('b') }] },
              product('c'),
            ],
          }),
        ),
      ).map((offer) => offer.title),
    ).toEqual(['a', 'b', 'c'])
  })
  test.each([
    ['<html>no data</html>', 'no-json-ld'],
    [page('{"@type": "Product", '), 'broken-json-ld'],
    [page('{"@type": "Person"}'), 'no-product'],
  ])('%j: %s', (source, code) => {
    expect(() => jsonLdOffers(source)).toThrowError(expect.objectContaining({ code }))
  })
})

describe('readLeads', () => {
  test('parts with counts and plans, a code and a rebate', () => {
    const { read: leads } = readLeads(
      'title,price,source,parts,code,rebate\nLot,128,barnstall,tarn-640*2;old:resell,TEN ' +
        'percent 10 min 50.00 until 2026-11-08,mail-in 10.00 by 2026-11-15',
      { currency: 'CAD', today: '2026-10-31' },
    )
    expect(leads[0]!.value).toMatchObject({
      price: '128.00',
      things: [
        { partId: 'tarn-640', quantity: 2, plan: 'keep' },
        { partId: 'old', quantity: 1, plan: 'resell' },
      ],
      code: { word: 'TEN', kind: 'percent', value: '10', minSpend: '50.00', validUntil: '2026-11-08' },
      rebate: { kind: 'mail-in', amount: '10.00', claimBy: '2026-11-15' },
    })
  })
})

describe('what goes out', () => {
  test('a cell cannot start a formula; numbers stay numbers', () => {
    expect(csvTable(['a'], [['=1+1'], ['-cmd'], ['@x'], ['-5.00'], ['say "hi", you'], [null]])).toBe(
      'a\r\n\'=1+1\r\n\'-cmd\r\n\'@x\r\n-5.00\r\n"say ""hi"", you"\r\n\r\n',
    )
  })
  test('Markdown from outside stays text', () => {
    expect(markdownText('a | <b>*x*</b>\n[l](u)')).toBe('a \\| \\<b\\>\\*x\\*\\</b\\> \\[l\\](u)')
  })
})
