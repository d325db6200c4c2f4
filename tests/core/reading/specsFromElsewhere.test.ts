import { expect, test } from 'vitest'
import { readSpec } from '#core/reading/specs/readSpec'
import { readSales } from '#core/reading/sales/readSales'

/** Specifications and sales as they are copied, each with what an earlier reader made wrong of it. */
test.each<[string, string, string | null, object]>([
  [
    'slots behind a length, on the same line',
    'Corvane Tessel 5700\nGPU memory: 8 GB GDDR6\nPower connectors: 1 x 8-pin\nLength: 268 mm, 2.5 slots\nRecommended PSU: 600 W',
    'graphics',
    { vramGb: 8, eightPinLeads: 1, sixPinLeads: 0, lengthMm: 268, slotsThick: 2.5, recommendedW: 600 },
  ],
  [
    'a height in slots, with a comma',
    'Grafikkarte Tessel 5700 XT\nSpeicher\t8 GB\nLänge\t301 mm\nHöhe\t2,7 Slots\nStromanschlüsse\t8-Pin + 6-Pin',
    'graphics',
    { vramGb: 8, lengthMm: 301, slotsThick: 2.7, eightPinLeads: 1, sixPinLeads: 1 },
  ],
  [
    'broches are pins',
    'Carte graphique Tessel 5700\n- Mémoire : 8 Go\n- Longueur : 268 mm\n- Largeur : 2 slots\n- Alimentation : 1x 8 broches',
    'graphics',
    { vramGb: 8, lengthMm: 268, slotsThick: 2, eightPinLeads: 1, sixPinLeads: 0 },
  ],
  [
    'memory places and what goes in them',
    'Moderkort Heron B4\nStorlek: mATX\nSockel: LN-4\nMinnesplatser: 4 (DDR4)\nMax minne: 128 GB\nM.2-platser: 2\nSATA-portar: 4',
    'motherboard',
    {
      formFactor: 'micro-ATX',
      memorySlots: 4,
      memoryGeneration: 'DDR4',
      maxMemoryGb: 128,
      m2Slots: 2,
      sataPorts: 4,
    },
  ],
  [
    'a case in French, with what a board, a card and a cooler may measure',
    "Boîtier Ember X3\nCarte mère : Mini-ITX\nCarte graphique : jusqu'à 320 mm\nVentirad : 135 mm max\nAlimentation : SFX",
    'case',
    { boardSizes: ['mini-ITX'], maxCardMm: 320, maxCoolerMm: 135, supplyShapes: ['SFX'] },
  ],
  [
    'cells of a table side by side',
    '<table><tr><th>Model</th><td>Tessel 5700</td></tr><tr><th>Memory</th><td>8 GB ' +
      'GDDR6</td></tr><tr><th>Slots</th><td>2</td></tr></table>',
    'graphics',
    { vramGb: 8, slotsThick: 2 },
  ],
  [
    'the sustained limit behind the nominal one on its line, and the memory a CPU takes',
    'Linnet Dovecote 5300\nSocket LN-4\n6 Cores / 12 Threads\nTDP: 65W, PPT 88 W\nMemory: DDR4-3200',
    'cpu',
    { socket: 'LN-4', cores: 6, threads: 12, limitW: 88, maxMemoryMts: 3200 },
  ],
  [
    'a count before its parenthesis',
    'Mullion B3 micro motherboard\nM.2: 2 (1x PCIe 4.0 x4, 1x PCIe 3.0 x2)\nMemory ' +
      'slots: 4 x DIMM, max 128 GB, DDR4 up to 4400 (OC), 3200',
    'motherboard',
    { m2Slots: 2, memorySlots: 4, maxMemoryGb: 128, maxMemoryMts: 3200 },
  ],
  [
    'one plug that is called twice, and the shape in the size',
    'Corrie Anvil 650\nWattage: 650W\nCPU: 1 x 8-pin (4+4)\nSize: ATX 150 x 140 x 86 mm',
    'supply',
    { ratedW: 650, cpuLeads: 1, supplyShape: 'ATX', lengthMm: 150 },
  ],
  [
    'pins are no speed; a word and its figure without a colon',
    'Gantry Plinth 16GB kit\nType: DDR4 288-pin UDIMM\nSpeed: DDR4-3200\nCapacity: 16 GB (2 x 8 GB)\nHeight 34 mm',
    'memory',
    { speedMts: 3200, kitCount: 2, capacityGb: 16, heightMm: 34, module: 'desktop' },
  ],
  [
    'millimetres close to their figure',
    'Tolland Larder Mini\nCase type: mini tower\nMax GPU length: 310 mm\nRadiator: 240mm front',
    'case',
    { maxCardMm: 310, radiatorMm: 240 },
  ],
  [
    'turns of a fan make no hard disk',
    'Breezeway Gale 120\nHeight: 154 mm\nTDP rating: 180 W\nSockets: LN-4, QX-2\nFan: 120 mm, 1500 rpm',
    'cooler',
    { heightMm: 154, coolerW: 180, coolerSockets: ['LN-4', 'QX-2'] },
  ],
  [
    'turns of a drive do',
    'Pelham Barge 4 TB\n3.5" SATA III hard drive\n5400 rpm',
    'storage',
    { capacityGb: 4000, interface: 'sata', drive: 'hdd' },
  ],
  [
    'the plug of twelve and four pins',
    'Stook 91 Wide graphics card\nPower Connectors | 1x 12+4 pin\nSlot width | 3 slots',
    'graphics',
    { sixteenPinLeads: 1, slotsThick: 3 },
  ],
  [
    'a line of many leads, each with its own count',
    'Corrie Anvil 450 SFX\n450 W SFX power supply\n1x 24-pin, 1x 4+4 pin CPU, 1x 6+2 pin PCIe, 4x SATA',
    'supply',
    { cpuLeads: 1, eightPinLeads: 1, sataLeads: 4, mainPlug: 'ATX24' },
  ],
  [
    'a count behind the kind of lead, and a metal in Swedish',
    'Nätaggregat Anvil 650\nEffekt: 650 W\nVerkningsgrad: 80 Plus Guld\nPCIe 6+2-pin: 4 st',
    'supply',
    { ratedW: 650, efficiency: 'gold', eightPinLeads: 4 },
  ],
  [
    'slots by the kind of memory that stands in them',
    'Ledwick Fallow X5 Mainboard\nSpeicher: 4x DDR5, max. 192 GB\nErweiterung: 1x PCIe 5.0 x16, 2x PCIe 3.0 x1',
    'motherboard',
    { memorySlots: 4, memoryGeneration: 'DDR5', maxMemoryGb: 192, expansionSlots: 3 },
  ],
  [
    'the product that a page states, with units beside the values',
    '{"@type":"Product","name":"Harrow Quill 70 8GB graphics ' +
      'card","brand":{"name":"Harrow"},"additionalProperty":[{"name":"Memory ' +
      'size","value":"8","unitText":"GB"},{"name":"Length","value":"241 ' +
      'mm"},{"name":"TGP","value":130,"unitText":"W"}]}',
    'graphics',
    { vramGb: 8, lengthMm: 241, boardPowerW: 130 },
  ],
  [
    'the rows of a page that states none',
    '<html><body><h1>Corrie Anvil 650 power ' +
      'supply</h1><table><tr><th>Wattage</th><td>650 ' +
      'W</td></tr><tr><th>Efficiency</th><td>80 Plus Gold</td></tr></table></body></html>',
    'supply',
    { ratedW: 650, efficiency: 'gold' },
  ],
  [
    'a product that states its name alone, and the terms around it',
    '<script type="application/ld+json">{"@type":"Product","name":"Skiff ' +
      '1TB"}</script><dl><dt>Interface</dt><dd>NVMe PCIe 3.0 x4</dd><dt>Capacity</dt><dd>1 ' +
      'TB</dd></dl>',
    'storage',
    { interface: 'nvme', capacityGb: 1000, lanes: 4 },
  ],
  [
    'keys that only a space parts from their value',
    'Product: Dovecote 5400\n# of CPU Cores 6\n# of Threads 12\nDefault TDP 65W\nCPU ' +
      'Socket LN-4\nSystem Memory Specification Up to 3200MT/s\nGraphics: discrete card ' +
      'required\nCooler not included',
    'cpu',
    {
      cores: 6,
      threads: 12,
      limitW: 65,
      maxMemoryMts: 3200,
      integratedGraphics: false,
      coolerIncluded: false,
    },
  ],
  [
    'plugs as a list in one line, and sides by their names',
    'Corrie Anvil 650W 80+ Gold\nForm factor ATX\nDimensions (L x W x H) 140 x 150 x 86 ' +
      'mm\nConnectors: 1x ATX 24-pin (20+4), 2x EPS 8-pin (4+4), 4x PCIe 8-pin (6+2), 8x ' +
      'SATA, 3x Molex',
    'supply',
    { supplyShape: 'ATX', lengthMm: 140, cpuLeads: 2, eightPinLeads: 4, sataLeads: 8, mainPlug: 'ATX24' },
  ],
  [
    'the same in German',
    'Netzteil Anvil 650\nLeistung: 650 Watt\nLänge: 140 mm\nAnschlüsse: 1x 24-polig, 2x ' +
      '8-polig (EPS), 4x 6+2-polig (PCIe), 6x SATA',
    'supply',
    { ratedW: 650, lengthMm: 140, cpuLeads: 2, eightPinLeads: 4, sataLeads: 6, mainPlug: 'ATX24' },
  ],
  [
    'headers counted together, power plugs of a board',
    'Mullion N4 micro motherboard\nSocket: LN-4\nFan headers: 1 x CPU, 3 x chassis\nPower: 24-pin, 8-pin',
    'motherboard',
    { fanHeaders: 4, mainPlug: 'ATX24', cpuLeads: 1 },
  ],
  [
    'a bus whose version stands behind its name',
    'Quill 70 8GB graphics card\nCard bus PCIe 4.0 x8\nSize: 2.2 slot, 242mm (9.5")',
    'graphics',
    { lanes: 8, pcieVersion: 4, slotsThick: 2.2, lengthMm: 242 },
  ],
  [
    'a case by what fits into it, in inches',
    'Larder Mini\nMB: mATX / ITX\nGPU: up to 12.9 inches\nCooler: up to 6.3"\nPSU: ATX up to 7 in',
    'case',
    { boardSizes: ['mini-ITX', 'micro-ATX'], maxCardMm: 327.7, maxCoolerMm: 160, maxSupplyMm: 177.8 },
  ],
  [
    'a drive by its inches',
    '500GB SATA SSD 2.5',
    'storage',
    { driveShape: '2.5', capacityGb: 500, interface: 'sata' },
  ],
  [
    'a board by its size and memory',
    'Mullion B3 ITX wifi DDR5',
    'motherboard',
    { formFactor: 'mini-ITX', wireless: true },
  ],
  [
    'an office machine by its parts, one a line',
    'Brigg 7020\nProcessor: 4-core, 3.2 GHz\nMemory: 8GB DDR3\nStorage: 500GB HDD',
    'donor',
    {},
  ],
  [
    'a table that opens with the kind and the name',
    'Processor | Dovecote 5300\nCores/Threads | 6 / 12\nStock cooler | Yes',
    'cpu',
    { cores: 6, threads: 12, coolerIncluded: true },
  ],
  [
    'a low cooler by its name',
    'Breezeway Drift L9 low profile cooler 37mm, 65W TDP',
    'cooler',
    { heightMm: 37, coolerW: 65 },
  ],
])('%s', (_, text, role, facts) => {
  const read = readSpec(text)
  expect(read.role).toBe(role)
  expect(
    Object.fromEntries(Object.entries(read.facts).map(([fact, each]) => [fact, each!.value])),
  ).toMatchObject(facts)
})

test('a table without a header: the column of states is known by its words', () => {
  const { records } = readSales(
    '2026-10-12 | Dovecote 5300 | $58 | used\n2026-10-14 | Dovecote 5300 boxed | $66 | ' +
      'for parts\n2026-10-20 | Dovecote 5300 tray | $55 | like new',
    { today: '2026-10-31', currency: 'CAD' },
  )
  expect(records.map(({ price, condition }) => [price, condition])).toEqual([
    ['58.00', 'used'],
    ['66.00', 'damaged'],
    ['55.00', 'used'],
  ])
})
test('a column of bids makes an auction of what was bid for', () => {
  const { records } = readSales(
    'title,price,sold on,bids\nQuill 70,125,2026-10-01,12\nQuill 70 OC,131,2026-10-02,0',
    {
      today: '2026-10-31',
      currency: 'CAD',
    },
  )
  expect(records.map(({ manner }) => manner)).toEqual(['auction', null])
})
