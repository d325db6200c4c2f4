import { describe, expect, test } from 'vitest'
import type { Role } from '#core/parts/part'
import { readSpec } from '#core/reading/specs/readSpec'
import { roleOf } from '#core/reading/specs/roleOf'

/** Specifications in several makers' manners: what each line says, and what it does not. */
const valuesOf = (text: string, role?: Role) =>
  Object.fromEntries(
    Object.entries(readSpec(text, role ?? null).facts).map(([fact, read]) => [fact, read!.value]),
  )

describe('whole specifications', () => {
  test.each<[string, Role, string, Record<string, unknown>]>([
    [
      'a CPU, as a table copied with tabs',
      'cpu',
      'Model\tDovecote 5300\nSocket\tLN-4\nCores\t6\nThreads\t12\nTDP\t65 W\nIntegrated graphics\tNo',
      { socket: 'LN-4', cores: 6, threads: 12, limitW: 65, integratedGraphics: false },
    ],
    [
      'a CPU in German',
      'cpu',
      'Sockel: LN-4\nKerne: 8\nThreads: 16\nGrafik: ja',
      { socket: 'LN-4', cores: 8, threads: 16 },
    ],
    [
      'a board',
      'motherboard',
      'Form factor: mATX\nSocket: QX-2\nMemory: 4 x DIMM, DDR5\nMax memory: 128 GB\nM.2 slots: 2\nSATA: 4 x SATA 6Gb/s',
      {
        formFactor: 'micro-ATX',
        socket: 'QX-2',
        memorySlots: 4,
        memoryGeneration: 'DDR5',
        maxMemoryGb: 128,
        m2Slots: 2,
        sataPorts: 4,
      },
    ],
    [
      'memory',
      'memory',
      'Capacity: 32 GB (2 x 16 GB)\nType: DDR4\nSpeed: 3200 MT/s\nForm factor: DIMM',
      { capacityGb: 32, kitCount: 2, memoryGeneration: 'DDR4', speedMts: 3200, module: 'desktop' },
    ],
    [
      'laptop memory',
      'memory',
      'Capacity: 8GB\nForm factor: SO-DIMM\nType: DDR4-2666',
      { capacityGb: 8, module: 'laptop', memoryGeneration: 'DDR4', speedMts: 2666 },
    ],
    [
      'a card',
      'graphics',
      'Memory: 8 GB GDDR6\nPower connectors: 2 x 8-pin\nBoard power: 220 W\nLength: 28.5 ' +
        'cm\nSlots: 2.5\nOutputs: 3 x DisplayPort, 1 x HDMI',
      {
        vramGb: 8,
        eightPinLeads: 2,
        boardPowerW: 220,
        lengthMm: 285,
        slotsThick: 2.5,
        outputs: ['HDMI', 'DisplayPort'],
      },
    ],
    [
      'a supply',
      'supply',
      'Power: 650 W\nEfficiency: 80+ Gold\nPCIe connectors: 2 x (6+2)-pin\nEPS: 1 x 4+4 ' +
        'pin\nSATA: 6\nForm factor: ATX\nModular: fully modular\nDepth: 140 mm',
      {
        ratedW: 650,
        efficiency: 'gold',
        eightPinLeads: 2,
        cpuLeads: 1,
        sataLeads: 6,
        supplyShape: 'ATX',
        modular: true,
        lengthMm: 140,
      },
    ],
    [
      'a case',
      'case',
      'Motherboard support: ATX, micro-ATX, mini-ITX\nMax GPU length: 320 mm\nMax CPU ' +
        'cooler height: 160 mm\n3.5" bays: 2\n2.5" bays: 3',
      {
        boardSizes: ['mini-ITX', 'micro-ATX', 'ATX'],
        maxCardMm: 320,
        maxCoolerMm: 160,
        bays35: 2,
        bays25: 3,
      },
    ],
    [
      'a drive',
      'storage',
      'Capacity: 1 TB\nInterface: PCIe 4.0 x4 NVMe\nForm factor: M.2 2280',
      { capacityGb: 1000, interface: 'nvme', m2LengthMm: 80, lanes: 4, pcieVersion: 4 },
    ],
    [
      'a drive that speaks SATA',
      'storage',
      'Capacity: 500GB\nInterface: SATA III\nForm factor: 2.5 inch',
      { capacityGb: 500, interface: 'sata' },
    ],
    [
      'a cooler',
      'cooler',
      'Height: 154 mm\nTDP: 180 W\nSockets: LN-4, QX-2',
      { heightMm: 154, coolerW: 180, coolerSockets: ['LN-4', 'QX-2'] },
    ],
  ])('%s', (_, role, text, expected) => {
    expect(valuesOf(text, role)).toMatchObject(expected)
  })
})

describe('the role is guessed from the words', () => {
  test.each<[string, Role | null]>([
    ['Socket LN-4, 6 cores, 12 threads', 'cpu'],
    ['Grafikkarte Quill 70 8 GB GDDR6', 'graphics'],
    ['Netzteil Anvil 650 W', 'supply'],
    ['Carte mère Mullion B3', 'motherboard'],
    ['Boîtier Larder Mini', 'case'],
    ['DDR4 memory kit 2x8GB', 'memory'],
    ['NVMe SSD 1 TB', 'storage'],
    ['CPU cooler Gale 120', 'cooler'],
    ['something nice for the weekend', null],
  ])('%s: %s', (text, role) => expect(roleOf(text)).toBe(role))
})

describe('what a name carries', () => {
  test.each<[string, Role, Record<string, unknown>]>([
    [
      'Plinth 16 GB (2 x 8) DDR4-3200',
      'memory',
      { capacityGb: 16, kitCount: 2, memoryGeneration: 'DDR4', speedMts: 3200 },
    ],
    ['Plinth 2x8GB DDR4 3200', 'memory', { capacityGb: 16, kitCount: 2 }],
    ['Quill 70 8GB', 'graphics', { vramGb: 8 }],
    ['Anvil 650W Gold SFX', 'supply', { ratedW: 650, efficiency: 'gold', supplyShape: 'SFX' }],
    ['Skiff 1TB NVMe', 'storage', { capacityGb: 1000, interface: 'nvme' }],
    ['Barge 4 TB HDD', 'storage', { capacityGb: 4000, drive: 'hdd' }],
  ])('%s', (name, role, expected) => expect(valuesOf(name, role)).toMatchObject(expected))
})

test('each fact names its line, what gave none is told, and the make is the one that is said', () => {
  const read = readSpec(
    'Brand: Corrie\nModel: Anvil 650\nPower: 650 W\nColour of the box: blue-ish',
    'supply',
  )
  expect([read.make, read.name, read.facts.ratedW]).toEqual(['Corrie', 'Anvil 650', { value: 650, line: 3 }])
  expect(read.notRead).toEqual(['Colour of the box: blue-ish'])
})

test('of several limits the sustained one, of several clearances the shortest, never the overclocked speed', () => {
  expect(valuesOf('TDP: 65 W\nMax turbo power: 88 W\nSustained power: 76 W', 'cpu').limitW).not.toBe(65)
  expect(valuesOf('Max GPU length: 360 mm (320 mm with front radiator)', 'case').maxCardMm).toBe(320)
  expect(valuesOf('Memory speed: 3200 MHz, 4400 MHz (OC)', 'motherboard').maxMemoryMts).toBe(3200)
})
