import { describe, expect, test } from 'vitest'
import { conditionOf, defectsOf, worksOf } from '#core/reading/listings/saidState'
import { statesIn, stateOfTitle, worse } from '#core/reading/sales/stateOf'
import { zeroOf } from '#core/reading/sales/readBlocks'
import { tableIn } from '#core/reading/sales/salesTable'
import { factsInName } from '#core/reading/specs/factsInName'
import { roleNamed } from '#core/reading/specs/roleOf'
import { driveInterface, driveKind, lanes, m2Length, pcie, radiator } from '#core/reading/specs/values'
import { wordsOf } from '#core/text/plainText'

/** What single words of listings, sales and specifications are taken to say; denied is not said. */
describe('whether it works', () => {
  test.each([
    ['works perfectly', 'yes'],
    ['tested and working', 'yes'],
    ['does not work', 'no'],
    ['defekt', 'no'],
    ['works I think', 'doubtful'],
    ['should still work', 'doubtful'],
    ['works but you must hit it', 'doubtful'],
    ['a card for sale', 'unknown'],
  ])('%s', (text, wanted) => expect(worksOf(text)).toBe(wanted))
})

describe('states', () => {
  test.each([
    ['sold as is', 'damaged'],
    ['like new', 'used'],
    ['brand new sealed', 'new'],
    ['open box', 'opened'],
    ['refurbished', 'refurbished'],
  ])('%s', (text, wanted) =>
    expect(new Set(statesIn(wordsOf(text)).map(({ condition }) => condition))).toEqual(new Set([wanted])),
  )
  test.each(['no damage', 'never opened'])('denied: %s', (text) =>
    expect(statesIn(wordsOf(text)).filter(({ condition }) => condition === 'damaged')).toEqual([]),
  )
  test('the worse of two, nothing giving way', () => {
    expect([worse('used', 'damaged'), worse('new', null), worse(null, 'used'), worse(null, null)]).toEqual([
      'damaged',
      'new',
      'used',
      null,
    ])
  })
  test('of a title alone only words that can mean nothing else', () => {
    expect(stateOfTitle('Tarn 640 for parts')).toBe('damaged')
    expect(stateOfTitle('Tarn 640 8GB')).toBeNull()
  })
  test('of a listing the worst that is said', () => {
    expect(conditionOf('used, for parts', worksOf('used, for parts'))).toBe('damaged')
    expect(conditionOf('refurbished', worksOf('works'))).toBe('refurbished')
    expect(conditionOf('nothing of it', worksOf('nothing of it'))).toBeNull()
  })
  test('faults that are told, not those denied', () => {
    expect(defectsOf('one fan rattles')).toHaveLength(1)
    expect(defectsOf('no rattling fans, no coil whine')).toEqual([])
  })
})

test.each([
  ['JPY', '0'],
  ['KWD', '0.000'],
  ['CAD', '0.00'],
])('nothing, in %s', (currency, wanted) => expect(zeroOf(currency)).toBe(wanted))

describe('a table of past sales', () => {
  const context = { today: '2026-10-31', currency: 'CAD' }
  test.each([
    ['commas', 'title,price,sold on\nTarn 640,131.00,2026-10-12\nTarn 640,127.00,2026-10-14'],
    ['semicolons', 'title;price;sold on\nTarn 640;131,00;2026-10-12\nTarn 640;127,00;2026-10-14'],
    ['tabs', 'title\tprice\tsold on\nTarn 640\t131.00\t2026-10-12\nTarn 640\t127.00\t2026-10-14'],
    ['bars', 'title | price | sold on\nTarn 640 | 131.00 | 2026-10-12\nTarn 640 | 127.00 | 2026-10-14'],
  ])('with %s', (_, text) => expect(tableIn(text, context)).not.toBeNull())
  test.each(['', 'Tarn 640, works, 60', 'one line\nanother line'])('no table: %s', (text) =>
    expect(tableIn(text, context)).toBeNull(),
  )
})

describe('specifications', () => {
  test.each([
    ['Harrow Quill 70 graphics card', 'graphics'],
    ['Dovecote 5300 processor', 'cpu'],
    ['Mullion B3 motherboard', 'motherboard'],
    ['Plinth memory kit', 'memory'],
    ['Skiff solid state drive', 'storage'],
  ])('%s', (text, role) => expect(roleNamed(text)).toBe(role))
  test.each([
    [lanes, 'pcie 4.0 x16', 16],
    [lanes, '4 lanes', 4],
    [lanes, 'fast', null],
    [pcie, 'pcie 5.0 x16', 5],
    [pcie, 'pci express gen 3', 3],
    [pcie, 'usb 3.2', null],
    [radiator, '240 mm, 280 mm, 360 mm', 360],
    [radiator, 'air only', null],
    [driveInterface, 'm.2 nvme', 'nvme'],
    [driveInterface, 'sata iii', 'sata'],
    [driveInterface, 'usb', null],
    [driveKind, '7200 rpm', 'hdd'],
    [driveKind, 'nvme ssd', 'ssd'],
    [driveKind, 'drive', null],
    [m2Length, 'm.2 2280', 80],
    [m2Length, 'm.2 2290', null],
  ] as const)('%o: %s', (read, text, wanted) => expect(read(text)).toBe(wanted))
  test('a name may carry facts', () => {
    expect(factsInName('Plinth 16 GB (2x8) DDR4-3200', 'memory')).toMatchObject({
      capacityGb: 16,
      kitCount: 2,
      memoryGeneration: 'DDR4',
      speedMts: 3200,
    })
    expect(factsInName('Anvil 650 W 80+ gold', 'supply')).toMatchObject({ ratedW: 650 })
    expect(factsInName('Larder', 'case')).toEqual({})
  })
})
