import { describe, expect, test } from 'vitest'
import { readRivals } from '#core/files/import/rivalsFile'
import { readRivalText } from '#core/files/import/rivalPage'
import { TitleReader } from '#core/reading/titles/partsInTitle'
import { queryForPart } from '#core/reading/titles/queryForPart'
import type { Part } from '#core/parts/part'
import {
  missingFacts,
  rivalComponents,
  rivalFactNames,
  unknownRival,
} from '#core/comparison/components/rivalFacts'

const part = (id: string, role: Part['role'], name: string, facts: Part['facts'] = {}): Part => ({
  id,
  role,
  make: name.split(' ')[0]!,
  name,
  facts,
})
const library = [
  part('cpu', 'cpu', 'Ostrane Threddle 33', { socket: 'TD-B', limitW: 60 }),
  part('cpu2', 'cpu', 'Ostrane Threddle 53', { socket: 'TD-B', limitW: 65 }),
  part('card', 'graphics', 'Murrowdun Tarn 620 8 GB', { vramGb: 8, boardPowerW: 115 }),
  part('card2', 'graphics', 'Murrowdun Tarn 640 8 GB', { vramGb: 8, boardPowerW: 132 }),
]
const byId = new Map(library.map((each) => [each.id, each]))
const reader = new TitleReader(
  new Map(library.map((each) => [each.id, queryForPart(each, library)])),
  '2026-10-31',
)
const read = (text: string) => readRivalText(text, reader, byId)

describe('readRivalText', () => {
  test.each([
    [
      'a list of points',
      'Ostrane Threddle 33\nMurrowdun Tarn 620 8 GB\n16 GB DDR4 memory\n1 TB NVMe\n500 W supply\n3 year warranty',
      {
        cpuId: 'cpu',
        graphicsId: 'card',
        memoryGb: 16,
        memoryModules: null,
        storageGb: 1000,
        storageKind: 'nvme',
        supplyW: 500,
      },
      36,
    ],
    [
      'a sentence with commas',
      'With an Ostrane Threddle 53, Murrowdun Tarn 640 8 GB, 2 x 8 GB DDR4-3200, 480 GB SATA drive',
      {
        cpuId: 'cpu2',
        graphicsId: 'card2',
        memoryGb: 16,
        memoryModules: 2,
        memoryMts: 3200,
        storageGb: 480,
        storageKind: 'sata',
      },
      null,
    ],
    [
      'a hard disk and months',
      '2 TB HDD; warranty: 12 months',
      { storageGb: 2000, storageKind: 'hdd', cpuId: null },
      12,
    ],
    [
      'two cards named: neither is taken',
      'Murrowdun Tarn 620 8 GB\nor Murrowdun Tarn 640 8 GB',
      { graphicsId: null },
      null,
    ],
    ['nothing at all', 'A good computer for the living room', { ...unknownRival }, null],
  ])('%s', (_, text, parts, warrantyMonths) => {
    const found = read(text)
    expect(found.parts).toMatchObject(parts)
    expect(found.warrantyMonths).toBe(warrantyMonths)
  })
  test('says in which words each fact stands', () => {
    expect(read('Steadwell 450 W supply\ntwo years warranty').quotes).toMatchObject({
      supplyMake: 'Steadwell 450 W',
      supplyW: '450 W',
      warrantyMonths: 'two years warranty',
    })
  })
})

describe('rivalComponents', () => {
  const shelf = [
    ...library,
    part('b', 'motherboard', 'Board', { socket: 'TD-B', memoryGeneration: 'DDR4', formFactor: 'ATX' }),
    part('m8', 'memory', 'Eight', { memoryGeneration: 'DDR4', capacityGb: 8, kitCount: 1, speedMts: 3200 }),
    part('m16', 'memory', 'Sixteen', {
      memoryGeneration: 'DDR4',
      capacityGb: 16,
      kitCount: 2,
      speedMts: 3200,
    }),
    part('s240', 'storage', 'Small', { capacityGb: 240, interface: 'sata', drive: 'ssd' }),
    part('s1000', 'storage', 'Large', { capacityGb: 1000, interface: 'nvme', drive: 'ssd' }),
    part('p300', 'supply', 'Weak', { ratedW: 300 }),
    part('p550', 'supply', 'Strong', { ratedW: 550 }),
    part('k', 'case', 'Case', { boardSizes: ['ATX'] }),
    part('c', 'cooler', 'Cooler', { coolerSockets: ['TD-B'] }),
  ]
  const priced = shelf.map((each, index) => ({ part: each, price: 1000 + 100 * index }))
  const of = (said: Partial<typeof unknownRival>) =>
    rivalComponents(
      { ...unknownRival, cpuId: 'cpu', graphicsId: 'card', ...said },
      new Map(shelf.map((each) => [each.id, each])),
      priced,
    )
  const role = (list: ReturnType<typeof of>, wanted: string) => list.find((each) => each.role === wanted)!
  test('what is not stated is the cheapest plausible part, and flagged', () => {
    const list = of({})
    expect(role(list, 'memory')).toMatchObject({
      partId: 'm8',
      state: 'missing',
      facts: { kitCount: 1, speedMts: 2133 },
    })
    expect(role(list, 'storage')).toMatchObject({ partId: 's240', state: 'missing' })
    // 60 + 115 + 60 W: the weak one carries it
    expect(role(list, 'supply')).toMatchObject({ partId: 'p300', state: 'missing' })
    expect(role(list, 'motherboard').state).toBe('deduced')
  })
  test('what is stated holds, whatever the part that stands for it says', () => {
    const list = of({
      memoryGb: 16,
      memoryModules: 2,
      memoryMts: 2666,
      storageGb: 960,
      storageKind: 'nvme',
      supplyW: 500,
      supplyMake: 'Steadwell',
    })
    expect(role(list, 'memory')).toMatchObject({
      partId: 'm16',
      state: 'stated',
      facts: { capacityGb: 16, kitCount: 2, speedMts: 2666 },
    })
    expect(role(list, 'storage')).toMatchObject({ partId: 's1000', facts: { capacityGb: 960 } })
    expect(role(list, 'supply')).toMatchObject({ partId: 'p550', state: 'stated', facts: { ratedW: 500 } })
  })
  test('neither CPU nor card known: no components; warranty and condition go to every part', () => {
    expect(of({ cpuId: null, graphicsId: null })).toEqual([])
    const list = rivalComponents({ ...unknownRival, cpuId: 'cpu', graphicsId: 'card' }, byId, priced, {
      condition: 'used',
      warrantyMonths: 6,
    })
    expect(list.every((each) => each.condition === 'used' && each.warrantyMonths === 6)).toBe(true)
  })
  test('every missing fact has its question', () => {
    expect(missingFacts(unknownRival)).toEqual(Object.keys(rivalFactNames))
    expect(missingFacts({ ...unknownRival, cpuId: 'x', memoryMts: 3200 })).not.toContain('memoryMts')
    for (const { question } of Object.values(rivalFactNames)) expect(question).toMatch(/\?$/)
  })
})

describe('readRivals', () => {
  test('a file without names or prices is refused by what is missing', () => {
    expect(() => readRivals('name,kind\nTower,prebuilt', 'CAD')).toThrow(
      'missing column "price"; the first line must name at least name and price',
    )
  })
  test('a line without a currency is in the home currency; without one it is rejected', () => {
    const csv = 'name,price\nTower,899.00'
    expect(readRivals(csv, 'SEK').read[0]!.value.currency).toBe('SEK')
    expect(readRivals(csv, '')).toMatchObject({
      read: [],
      problems: [{ line: 2, code: 'currency', reason: expect.stringContaining('no currency given') }],
    })
  })
  test('units in cells, kinds in words, an empty delivery is not stated', () => {
    const { read: rows, problems } = readRivals(
      'name;kind;price;currency;tax;delivery;memory;speed;drive;supply;warranty\nTower;configured ' +
        'by a shop;899,00;CAD;13;;16 GB;3200 MT/s;480;500 W;24 months\nBox;console;4 ' +
        '990,00;SEK;25;0;;;;;\nOdd;spaceship;1;CAD;;;;;;;\nBad;prebuilt;1;CAD;;;lots;;;;',
      'CAD',
    )
    expect(rows[0]!.value).toMatchObject({
      kind: 'configured',
      price: '899.00',
      taxPercent: 13,
      shippingStated: false,
      parts: { memoryGb: 16, memoryMts: 3200, storageGb: 480, supplyW: 500 },
      warrantyMonths: 24,
    })
    expect(rows[1]!.value).toMatchObject({
      kind: 'console',
      price: '4990.00',
      shippingStated: true,
      shipping: '0.00',
    })
    expect(problems.map((problem) => problem.line)).toEqual([4, 5])
    expect(problems[1]!.reason).toBe('"lots" is not a number')
  })
})
