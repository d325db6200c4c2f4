import { describe, expect, test } from 'vitest'
import { normaliseTitle } from '#core/reading/titles/normaliseTitle'
import { hashText, TitleScanner } from '#core/reading/titles/titleScanner'
import { Sieve } from '#core/reading/titles/sieve'
import type { PriceQuery } from '#core/reading/titles/priceQuery'
import type { SoldRecord } from '#core/reading/sales/soldRecord'

const base: PriceQuery = {
  must: ['Tarn', '640'],
  mustNot: [],
  conditions: ['opened', 'refurbished', 'used'],
  manners: ['auction', 'fixed', 'local'],
  windowDays: 90,
  halfLifeDays: 30,
  asOf: '2026-10-31',
  currency: 'CAD',
  variant: { capacityGb: 8, siblings: ['640 S', '640 Twin'] },
}
const memory: PriceQuery = {
  ...base,
  must: ['Palisado'],
  variant: { capacityGb: 16, kitCount: 2, memoryGeneration: 'DDR4', module: 'desktop' },
}

function verdict(query: PriceQuery, title: string, change: Partial<SoldRecord> = {}): string {
  const record: SoldRecord = {
    id: 'a',
    source: 'Gavelry',
    title,
    price: 12000,
    shipping: 0,
    currency: 'CAD',
    soldOn: '2026-10-01',
    manner: 'auction',
    condition: 'used',
    ...change,
  }
  return new Sieve(query).judge(record)?.reason ?? 'kept'
}

describe('normaliseTitle', () => {
  test.each([
    ['Palisado 16 GB (2 x 8) DDR 4', 'palisado 16gb 2x8 ddr4'],
    ['PALISADO 2×8GB ddr4-3200', 'palisado 2x8gb ddr4 3200'],
    ['2x 8gb', '2x8gb'],
    ['tarn640 8G', 'tarn 640 8gb'],
    ['Tarn 640S', 'tarn 640s'],
    ['Câsé, 3.5" drive', 'case 3.5 drive'],
    ['16GBDDR4 kit', '16gb ddr4 kit'],
    ['550 Watt 80+ Gold', '550w 80 gold'],
    ['2 x Tarn 640', '2x tarn 640'],
    ['8gb x 2', '8gb x2'],
    ['', ''],
  ])('%j reads as %j', (title, tokens) => {
    expect(normaliseTitle(title).join(' ')).toBe(tokens)
  })

  test('the hash of a scanned token is the hash of its text', () => {
    const scanner = new TitleScanner()
    scanner.scan('Sallowfen 5400, 2 x 8 GB & board')
    for (let i = 0; i < scanner.count; i += 1) expect(scanner.hash[i]).toBe(hashText(scanner.text(i)))
  })
})

describe('Sieve', () => {
  test.each([
    ['Murrowdun Tarn 640 8GB', 'kept'],
    ['tarn640 8 gb works great', 'kept'],
    ['TARN 640 no box', 'kept'],
    ['Tarn 640 8GB with original box and cables', 'kept'],
    ['Tarn 640 8gb dual fan, tested & working', 'kept'],
    ['Tarn 640 8GB graphics card from gaming pc', 'kept'],
    ['graphics card Tarn 640 8GB memory', 'kept'],
    ['Tarn 640 8GB graphics card for desktop PC', 'kept'],
    ['Tarn 640 + box', 'kept'],
    ['Tarn 640, not broken, nothing faulty', 'kept'],
    ['Tarn 6400 8GB', 'missing-word'],
    ['Tarn 640 S 8GB', 'wrong-variant'],
    ['Tarn 640S 8GB', 'missing-word'],
    ['Tarn 640-S', 'wrong-variant'],
    ['Tarn 640 Twin', 'wrong-variant'],
    ['Tarn 640 4GB', 'wrong-variant'],
    ['Tarn 640 8GB + Sallowfen 5400', 'lot'],
    ['Tarn 640 8GB and motherboard', 'lot'],
    ['Gaming PC Tarn 640 8GB', 'lot'],
    ['job lot of 3 Tarn 640', 'lot'],
    ['Tarn 640 with 32gb ram', 'wrong-variant'],
    ['Tarn 640 box only', 'accessory'],
    ['EMPTY BOX Tarn 640', 'accessory'],
    ['Tarn 640 8GB cooler only, no card', 'accessory'],
    ['bracket for Tarn 640', 'accessory'],
    ['Fan for Tarn 640 8GB', 'accessory'],
    ['Tarn 640 backplate', 'accessory'],
    ['2x Tarn 640 8GB', 'quantity'],
    ['Tarn 640 8GB x2', 'quantity'],
    ['pair Tarn 640 8GB', 'quantity'],
    ['Tarn 640 8GB each', 'quantity'],
    ['Tarn 640 8GB faulty', 'condition'],
    ['Tarn 640 for parts', 'condition'],
    ['Tarn 640 not working', 'condition'],
    ['Tarn 640 spares or repair', 'condition'],
  ])('%j is %s', (title, expected) => {
    expect(verdict(base, title)).toBe(expected)
  })

  test.each([
    ['Palisado 16GB 2x8 DDR4', 'kept'],
    ['Palisado 2 x 8 GB DDR4 3200', 'kept'],
    ['Palisado 8GB x 2 DDR4', 'kept'],
    ['Palisado 2 sticks of 8gb', 'kept'],
    ['Palisado 16GB kit (2x8GB) desktop RAM, not laptop', 'kept'],
    ['Palisado DDR4 16 gig', 'kept'],
    ['Palisado 1x16GB DDR4', 'wrong-variant'],
    ['Palisado 16GB single stick', 'wrong-variant'],
    ['Palisado 4x4GB DDR4', 'wrong-variant'],
    ['Palisado 8GB DDR4', 'wrong-variant'],
    ['Palisado 32GB 2x16 DDR4', 'wrong-variant'],
    ['Palisado 16GB 2x8 DDR3', 'wrong-variant'],
    ['Palisado 16GB 2x8 DDR4 SO-DIMM', 'wrong-variant'],
    ['Palisado 16GB laptop memory DDR4', 'wrong-variant'],
    ['Palisado 16GB 2x8 ECC registered server', 'wrong-variant'],
    ['Palisado 16GB 2x8 DDR4 + Northpine board', 'lot'],
  ])('memory: %j is %s', (title, expected) => {
    expect(verdict(memory, title)).toBe(expected)
  })

  test('the first reason in order is the one given', () => {
    expect(verdict(base, 'Tarn 640 S box only', { soldOn: '2026-01-01', condition: 'damaged' })).toBe(
      'outside-window',
    )
    expect(verdict(base, 'Tarn 640 S box only', { condition: 'damaged', manner: 'local' })).toBe('condition')
    expect(verdict({ ...base, manners: ['auction'] }, 'something else', { manner: 'local' })).toBe('manner')
    expect(verdict({ ...base, mustNot: ['mining'] }, 'Tarn 640 S mining')).toBe('unwanted-word')
  })

  test("a sale of the window's last day counts, of the day after not", () => {
    expect(verdict(base, 'Tarn 640', { soldOn: '2026-08-03' })).toBe('kept') // 89 days
    expect(verdict(base, 'Tarn 640', { soldOn: '2026-08-02' })).toBe('outside-window') // 90 days
    expect(verdict(base, 'Tarn 640', { soldOn: '2026-11-01' })).toBe('outside-window') // tomorrow
  })

  test('a stated quantity that the record agrees with is clear', () => {
    expect(verdict(base, '2x Tarn 640', { quantity: 2 })).toBe('kept')
    expect(verdict(base, '2x Tarn 640', { quantity: 1 })).toBe('quantity')
  })

  test('damaged is accepted when asked for, whether field or title says it', () => {
    const broken: PriceQuery = { ...base, conditions: ['damaged'] }
    expect(verdict(broken, 'Tarn 640 for parts', { condition: 'damaged' })).toBe('kept')
  })

  test('the longer name is not taken for its shorter sister', () => {
    const twin: PriceQuery = { ...base, must: ['Tarn', '640 S'], variant: { siblings: ['640', '640 Twin'] } }
    expect(verdict(twin, 'Tarn 640 S 8GB')).toBe('kept')
    expect(verdict(twin, 'Tarn 640S 8GB')).toBe('kept')
    expect(verdict(twin, 'Tarn 640 S, better than the 640')).toBe('wrong-variant')
  })

  test('makes are asked for only when the query names some', () => {
    expect(verdict({ ...base, makes: ['Murrowdun'] }, 'Tarn 640 8GB')).toBe('make')
    expect(verdict({ ...base, makes: ['Murrowdun', 'Northpine'] }, 'NORTHPINE Tarn 640 8GB')).toBe('kept')
    expect(verdict({ ...base, makes: [] }, 'Tarn 640 8GB')).toBe('kept')
  })

  test('words in the title of a donor query are not held against it', () => {
    const donor: PriceQuery = { ...base, must: ['Desk 30'], variant: {} }
    expect(verdict(donor, 'Meridon Desk 30 office PC')).toBe('lot')
    expect(verdict({ ...donor, must: ['Desk 30', 'PC'] }, 'Meridon Desk 30 office PC')).toBe('kept')
  })
})
