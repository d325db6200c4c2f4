import { describe, expect, test } from 'vitest'
import type { Part } from '#core/parts/part'
import { isDenied } from '#core/reading/titles/denied'
import { queryForPart } from '#core/reading/titles/queryForPart'
import { Sieve } from '#core/reading/titles/sieve'
import { statedBoardSize } from '#core/reading/titles/statedBoardSize'
import { statedCores } from '#core/reading/titles/statedCores'
import { statesOtherSocket } from '#core/reading/titles/statedSocket'
import { statesOtherSpeed } from '#core/reading/titles/statedSpeed'
import { hashText, TitleScanner } from '#core/reading/titles/titleScanner'

const scan = (title: string) => {
  const scanner = new TitleScanner()
  scanner.scan(title)
  return scanner
}

describe('a board’s size in a title', () => {
  test.each([
    ['Fallow X5 ATX board', 'ATX'],
    ['Fallow X5 micro ATX', 'micro-ATX'],
    ['Fallow X5 m-ATX', 'micro-ATX'],
    ['Fallow X5 mATX', 'micro-ATX'],
    ['Fallow X5 mini-ITX', 'mini-ITX'],
    ['Fallow X5 E-ATX', 'E-ATX'],
    ['Fallow X5', ''],
  ])('%s: %s', (title, size) => expect(statedBoardSize(scan(title))).toBe(size))
})

describe('memory of another speed', () => {
  test.each([
    ['Plinth 2x8GB DDR4 2400', true],
    ['Plinth 2x8GB DDR4-2666MHz', true],
    ['Plinth 2x8GB DDR4-3200', false],
    ['Plinth 2x8GB DDR4-3200, runs at 3600', false],
    ['Plinth 2x8GB DDR4 PC4-25600', false],
    ['Plinth 2x8GB DDR4', false],
  ])('%s: %s', (title, isOther) => expect(statesOtherSpeed(scan(title), 3200)).toBe(isOther))
})

describe('cores of a processor', () => {
  test.each([
    ['dovecote 5300 quad core', 4],
    ['dovecote 5300 6c/12t', 6],
    ['dovecote 5300, 6 kerne', 6],
    ['dovecote 5300 six-core', 6],
    ['dovecote 5300 6+4 cores', null],
    ['dovecote 5300 6 of 6 cores work', 6],
    ['dovecote 5300 3.6 ghz', null],
  ])('%s: %s', (title, cores) => expect(statedCores(title)).toBe(cores))
})

describe('another socket', () => {
  test.each([
    ['mullion b3 micro socket ln-5', true],
    ['mullion b3 micro socket ln4', false],
    ['mullion b3 micro sockel 4', false],
    ['mullion b3 micro socket clean, no bent pins', false],
    ['mullion b3 micro', false],
  ])('%s: %s', (title, isOther) => expect(statesOtherSocket(title, 'LN-4')).toBe(isOther))
})

describe('a fault that is denied', () => {
  test.each([
    ['Quill 70 no artifacts or crashes', 'crashes', true],
    ['Quill 70 never any issues', 'issues', true],
    ['Quill 70 without known faults', 'faults', true],
    ['Quill 70 crashes', 'crashes', false],
    ['Quill 70 no box crashes', 'crashes', false],
  ])('%s: %s, %s', (title, word, denied) => {
    const scanner = scan(title)
    expect(isDenied(scanner, Array.from(scanner.hash).indexOf(hashText(word)))).toBe(denied)
  })
})

const part = (role: string, make: string, name: string, facts: object) =>
  ({ id: name, role, make, name, facts }) as Part
const library = {
  card: part('graphics', 'Harrow', 'Quill 70', { vramGb: 8 }),
  cpu: part('cpu', 'Linnet', 'Dovecote 5300', { socket: 'LN-4' }),
  board: part('motherboard', 'Ledwick', 'Fallow X5', { memoryGeneration: 'DDR5', formFactor: 'ATX' }),
  supply: part('supply', 'Corrie', 'Anvil 650', { ratedW: 650 }),
  drive: part('storage', 'Pelham', 'Skiff 1 TB NVMe', { capacityGb: 1000, interface: 'nvme' }),
  cooler: part('cooler', 'Breezeway', 'Gale 120', { coolerW: 150 }),
  donor: part('donor', 'Brigg', 'Brigg 7020', {}),
  box: part('case', 'Tolland', 'Larder Mini', { boardSizes: ['mini-ITX'] }),
  memory: part('memory', 'Gantry', 'Plinth 16 GB (2 x 8) DDR4-3200', {
    capacityGb: 16,
    kitCount: 2,
    memoryGeneration: 'DDR4',
    speedMts: 3200,
    module: 'desktop',
  }),
}

/** Why each title is left out: the reason is what a builder reads beside it. */
describe('reasons', () => {
  test.each([
    ['card', 'Clips for Harrow Quill 70', 'accessory'],
    ['card', 'Front plate from a Quill 70', 'accessory'],
    ['card', 'Quill 70 8GB heatsink and fan assembly', 'accessory'],
    ['card', 'Kühler Harrow Quill 70', 'accessory'],
    ['card', 'Quill 70 Ti 8GB', 'wrong-variant'],
    ['card', 'Quill 70 Mobile 8GB', 'wrong-variant'],
    ['card', 'Quill 70 or 80 8GB', 'lot'],
    ['card', 'Swap Quill 70 8GB for a board', 'unwanted-word'],
    ['card', 'Quill 70 8GB bad fan', 'condition'],
    ['cpu', 'Dovecote 5300, 5400 and 7300 available', 'lot'],
    ['cpu', 'Dovecote 5300 with Mullion B3 micro', 'lot'],
    ['cpu', 'Dovecote 5300 w/ 7020 and 16GB', 'lot'],
    ['cpu', 'Dovecote 5300 delid tool', 'accessory'],
    ['board', 'Fallow X5 ITX', 'wrong-variant'],
    ['board', 'Fallow X5 DDR4', 'wrong-variant'],
    ['board', 'Fallow X5 M', 'wrong-variant'],
    ['supply', 'Anvil 650W no cables', 'accessory'],
    ['supply', 'Corrie Anvil 650 case and psu', 'lot'],
    ['drive', 'Skiff 1TB NVMe USB', 'wrong-variant'],
    ['cooler', 'Gale 120 without fan', 'accessory'],
    ['cooler', 'Gale 120 fan only', 'accessory'],
    ['donor', 'Brigg 7020 RAM 8GB stick', 'accessory'],
    ['box', 'Larder Mini Plus', 'wrong-variant'],
    ['memory', 'Plinth 2x8GB DDR4 2400', 'wrong-variant'],
    ['memory', 'Plinth 16GB (2x8) DDR4-3200 ECC', 'wrong-variant'],
    ['card', 'Quill 70 8GB with fan and backplate', null],
    ['card', 'Quill 70 8GB in box, never any issues', null],
    ['card', 'Quill 70 8GB for sale', null],
    ['cpu', 'Dovecote 5300 chip, tray', null],
    ['cpu', 'Dovecote 5300 used in office pc', null],
    ['board', 'Fallow X5 DDR5, antennas included', null],
    ['supply', 'Anvil 650W no power cord', null],
    ['cooler', 'Kylare Gale 120, LN-4 and QX-2 mounts', null],
    ['donor', 'Brigg 7020 mini tower 8GB RAM', null],
    ['memory', 'Plinth 16GB (2x8) DDR4-3200 non-ECC', null],
  ] as const)('%s: %s: %s', (key, title, reason) => {
    const parts = Object.values(library)
    const query = { ...queryForPart(library[key], parts), asOf: '2026-10-31', currency: 'CAD' }
    const verdict = new Sieve(query).judge({
      id: '1',
      source: 's',
      title,
      price: 100,
      shipping: 0,
      currency: 'CAD',
      soldOn: '2026-10-31',
      manner: 'fixed',
      condition: 'used',
    })
    expect(verdict?.reason ?? null).toBe(reason)
  })
})

describe('a query asks for the model, not for what it is', () => {
  test.each([
    ['graphics', 'Vantry 55 graphics card', ['vantry', '55']],
    ['memory', 'Halcott memory kit 16 GB (2 x 8 GB) DDR4', ['halcott']],
    ['supply', 'Orsin 500 power supply', ['orsin', '500']],
    ['supply', 'Netzteil Orsin 500', ['orsin', '500']],
    ['case', 'Mardle case', ['mardle']],
    ['cooler', 'CPU cooler', ['cpu', 'cooler']],
  ])('%s: %s', (role, name, must) => {
    expect(queryForPart(part(role, '', name, {}), []).must).toEqual(must)
  })
})

const cardToRead: Part = {
  id: 'quill',
  role: 'graphics',
  make: 'Harrow',
  name: 'Quill 70',
  facts: { vramGb: 8 },
}
const saleToRead = {
  id: '1',
  source: 's',
  price: 100,
  shipping: 0,
  currency: 'CAD',
  soldOn: '2026-10-31',
  manner: 'fixed',
  condition: 'used',
} as const

test('a verdict is of its own title, whatever was judged before', () => {
  const sieve = new Sieve({ ...queryForPart(cardToRead, [cardToRead]), asOf: '2026-10-31', currency: 'CAD' })
  const verdict = (title: string) => sieve.judge({ ...saleToRead, title })?.reason ?? 'kept'
  const titles = [
    'Quill 70',
    'Quill 70 8GB box only',
    'Quill 70 8GB bracket',
    'PC Quill 70 8GB, 16GB RAM, 1TB SSD, with monitor and keyboard, boxed',
    'Quill 70 8GB or Quill 90',
    'laptop with Quill 70',
    'Quill 70 8GB with cables and fans missing',
    'Case + Quill 70',
    'Quill 70 8GB x 3',
  ]
  const alone = new Map(titles.map((title) => [title, verdict(title)]))
  expect(alone.get('Quill 70')).toBe('kept')
  for (const before of titles)
    for (const title of titles) {
      verdict(before)
      expect([before, title, verdict(title)]).toEqual([before, title, alone.get(title)])
    }
})

describe('the shape of a title, for words that no list has', () => {
  const reason = (title: string) => {
    const sieve = new Sieve({
      ...queryForPart(cardToRead, [cardToRead]),
      asOf: '2026-10-31',
      currency: 'CAD',
    })
    return sieve.judge({ ...saleToRead, title })?.reason ?? 'kept'
  }

  test.each([
    ['Quill 70 8GB vs Quill 90', 'unwanted-word'],
    ['Quill 60 8GB, close to its sister the Quill 70', 'wrong-variant'],
    ['Quill 70 8GB Spulenschaden', 'condition'],
    ['Quill 70 8GB, kein Lüfterschaden', 'kept'],
    ['Quill 70 8GB HDMI lost', 'condition'],
    ['Quill 70 8GB, bent pins straightened', 'kept'],
    ['Wohnzimmerrechner Quill 70 8GB', 'lot'],
    ['Zusatzlüfter Quill 70', 'accessory'],
    ['Quill 70 8GB mit Originalkarton', 'kept'],
    ['Quill 70 nameplate only', 'accessory'],
    ['Quill 70 8GB, pickup only', 'kept'],
    ['Boîtier et Quill 70 8Go', 'lot'],
    ['Quill 70 8GB & Quill 70 8GB', 'quantity'],
    ['paquete de 3 Quill 70 8GB', 'quantity'],
    ['Quill 70 8GB, ran in my desktop', 'kept'],
    ['Quill 70 8GB with family desktop', 'lot'],
    ['Does the Quill 70 8GB fit?', 'unwanted-word'],
    ['Quill 70 8GB collection from town', 'kept'],
  ])('%s: %s', (title, expected) => {
    expect(reason(title)).toBe(expected)
  })
})
