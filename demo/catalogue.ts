import type { Part, PartFacts, Role } from '../core/parts/part'
import { slug } from '../shared/text/slug'
import { fitFacts } from './fitFacts'

/** A part of the made-up trade, with what the generator knows of its market. Prices in whole CAD. */
export interface CataloguePart extends Part {
  /** What it really sells for, used. */
  readonly street: number
  /** Shop price new; 0 where it is no longer sold. */
  readonly fresh: number
  /** How often it comes up: sold records over the generator's days. */
  readonly sales: number
}

function part(
  role: Role,
  make: string,
  name: string,
  street: number,
  fresh: number,
  sales: number,
  facts: PartFacts,
): CataloguePart {
  // what a row of the tables states goes before the rules of thumb
  return {
    id: slug(name.includes(make) ? name : `${make} ${name}`),
    role,
    make,
    name,
    facts: { ...fitFacts({ role, name, facts }), ...facts },
    street,
    fresh,
    sales,
  }
}

type CpuRow = readonly [
  name: string,
  socket: string,
  cores: number,
  threads: number,
  index: number,
  watts: number,
  street: number,
  fresh: number,
  sales: number,
  year: number,
  graphicsIndex?: number,
]

const sallowfen: readonly CpuRow[] = [
  ['Sallowfen 2140', 'SF-1', 4, 4, 38, 65, 11, 0, 60, 2016],
  ['Sallowfen 2340', 'SF-1', 4, 4, 44, 65, 16, 0, 60, 2016],
  ['Sallowfen 2540', 'SF-1', 4, 8, 52, 80, 26, 0, 70, 2016],
  ['Sallowfen 2740', 'SF-1', 4, 8, 56, 84, 38, 0, 50, 2017],
  ['Sallowfen 4160', 'SF-2', 4, 8, 66, 65, 31, 0, 60, 2018],
  ['Sallowfen 4360', 'SF-2', 6, 6, 72, 65, 38, 0, 70, 2018],
  ['Sallowfen 4360 G', 'SF-2', 6, 6, 70, 65, 47, 0, 40, 2018, 14],
  ['Sallowfen 4560', 'SF-2', 6, 12, 80, 65, 49, 0, 70, 2019],
  ['Sallowfen 4760', 'SF-2', 8, 16, 88, 95, 78, 0, 50, 2019],
  ['Sallowfen 5400', 'SF-3', 6, 12, 100, 65, 58, 109, 110, 2021],
  ['Sallowfen 5400 G', 'SF-3', 6, 12, 96, 65, 79, 139, 50, 2021, 22],
  ['Sallowfen 6100', 'SF-3', 4, 8, 98, 60, 52, 99, 50, 2022],
  ['Sallowfen 6600', 'SF-3', 6, 12, 116, 65, 92, 149, 110, 2022],
  ['Sallowfen 6900', 'SF-3', 8, 16, 131, 105, 148, 229, 60, 2022],
]
const threddle: readonly CpuRow[] = [
  ['Threddle 21', 'TD-A', 2, 4, 40, 54, 12, 0, 40, 2017, 6],
  ['Threddle 31', 'TD-A', 4, 4, 55, 65, 22, 0, 60, 2017, 6],
  ['Threddle 41', 'TD-A', 6, 6, 74, 65, 41, 0, 60, 2018, 6],
  ['Threddle 61', 'TD-A', 8, 8, 86, 95, 74, 0, 40, 2018, 6],
  ['Threddle 33', 'TD-B', 4, 8, 92, 60, 57, 99, 60, 2022, 9],
  ['Threddle 53', 'TD-B', 6, 12, 112, 65, 86, 149, 70, 2022, 9],
  ['Threddle 53 Open', 'TD-B', 6, 12, 120, 125, 104, 179, 40, 2022, 9],
  ['Threddle 73', 'TD-B', 12, 20, 136, 65, 158, 259, 40, 2022, 9],
  ['Threddle 73 Open', 'TD-B', 12, 20, 144, 125, 181, 289, 30, 2022, 9],
  ['Threddle 93', 'TD-B', 16, 24, 152, 65, 244, 379, 20, 2023, 9],
]

type CardRow = readonly [
  name: string,
  vram: number,
  index: number,
  watts: number,
  six: number,
  eight: number,
  length: number,
  street: number,
  fresh: number,
  sales: number,
  year: number,
]

const tarn: readonly CardRow[] = [
  ['Tarn 420', 2, 18, 60, 0, 0, 170, 21, 0, 50, 2016],
  ['Tarn 440', 4, 30, 75, 0, 0, 172, 42, 0, 70, 2017],
  ['Tarn 460', 4, 41, 120, 1, 0, 200, 54, 0, 60, 2017],
  ['Tarn 520', 4, 46, 75, 0, 0, 180, 68, 129, 70, 2020],
  ['Tarn 540', 6, 60, 120, 0, 1, 225, 82, 0, 80, 2020],
  ['Tarn 560', 8, 76, 150, 0, 1, 240, 104, 0, 110, 2020],
  ['Tarn 560 S', 8, 82, 160, 0, 1, 240, 117, 0, 60, 2020],
  ['Tarn 580', 8, 90, 185, 1, 1, 267, 122, 0, 70, 2020],
  ['Tarn 620', 8, 84, 115, 0, 1, 200, 112, 189, 70, 2022],
  ['Tarn 640', 8, 100, 132, 0, 1, 220, 131, 219, 160, 2022],
  ['Tarn 640 S', 8, 112, 150, 0, 1, 235, 152, 239, 80, 2022],
  ['Tarn 660', 10, 128, 180, 0, 1, 268, 189, 289, 70, 2022],
  ['Tarn 680', 12, 152, 225, 0, 2, 302, 246, 379, 50, 2022],
]
const stook: readonly CardRow[] = [
  ['Stook 21', 4, 34, 75, 0, 0, 168, 46, 0, 50, 2018],
  ['Stook 31', 6, 52, 100, 1, 0, 205, 66, 0, 70, 2019],
  ['Stook 41', 6, 64, 120, 0, 1, 230, 84, 0, 60, 2020],
  ['Stook 51', 8, 102, 160, 0, 1, 245, 138, 229, 130, 2022],
  ['Stook 51 Wide', 16, 106, 165, 0, 1, 245, 182, 269, 50, 2022],
  ['Stook 61', 8, 118, 170, 0, 1, 250, 164, 249, 60, 2022],
  ['Stook 71', 12, 138, 200, 0, 2, 282, 214, 319, 50, 2022],
  ['Stook 81', 12, 165, 250, 0, 2, 305, 286, 429, 30, 2022],
  ['Stook 33', 6, 58, 75, 0, 0, 170, 97, 159, 40, 2021],
  ['Stook 53', 8, 114, 130, 0, 1, 225, 176, 259, 40, 2023],
  ['Stook 73', 12, 158, 190, 0, 1, 260, 279, 389, 30, 2023],
]

type BoardRow = readonly [
  make: string,
  name: string,
  socket: string,
  generation: string,
  slots: number,
  size: string,
  m2: number,
  street: number,
  fresh: number,
]

const boards: readonly BoardRow[] = [
  ['Northpine', 'N1 mini', 'SF-1', 'DDR3', 2, 'mini-ITX', 0, 34, 0],
  ['Northpine', 'N1 micro', 'SF-1', 'DDR3', 4, 'micro-ATX', 0, 27, 0],
  ['Northpine', 'N2 micro', 'SF-2', 'DDR4', 2, 'micro-ATX', 1, 38, 0],
  ['Northpine', 'N2 full', 'SF-2', 'DDR4', 4, 'ATX', 1, 52, 0],
  ['Northpine', 'N2 mini', 'SF-2', 'DDR4', 2, 'mini-ITX', 1, 67, 0],
  ['Northpine', 'N4 micro', 'SF-3', 'DDR4', 2, 'micro-ATX', 1, 61, 99],
  ['Northpine', 'N4 full', 'SF-3', 'DDR4', 4, 'ATX', 2, 78, 129],
  ['Northpine', 'N4 mini', 'SF-3', 'DDR4', 2, 'mini-ITX', 1, 92, 149],
  ['Northpine', 'N5 micro', 'SF-3', 'DDR5', 2, 'micro-ATX', 2, 84, 139],
  ['Wainscot', 'Beadle micro', 'TD-A', 'DDR4', 2, 'micro-ATX', 1, 36, 0],
  ['Wainscot', 'Beadle full', 'TD-A', 'DDR4', 4, 'ATX', 1, 54, 0],
  ['Wainscot', 'Beadle mini', 'TD-A', 'DDR4', 2, 'mini-ITX', 1, 66, 0],
  ['Wainscot', 'Corbel micro', 'TD-B', 'DDR4', 4, 'micro-ATX', 2, 72, 119],
  ['Wainscot', 'Corbel full', 'TD-B', 'DDR4', 4, 'ATX', 3, 91, 149],
  ['Wainscot', 'Corbel mini', 'TD-B', 'DDR4', 2, 'mini-ITX', 2, 104, 169],
  ['Wainscot', 'Corbel Five micro', 'TD-B', 'DDR5', 2, 'micro-ATX', 2, 96, 149],
  ['Wainscot', 'Corbel Five full', 'TD-B', 'DDR5', 4, 'ATX', 3, 118, 189],
  ['Wainscot', 'Lintel micro', 'SF-3', 'DDR4', 4, 'micro-ATX', 2, 69, 109],
]

function memoryPart(
  name: string,
  generation: string,
  kit: number,
  capacity: number,
  speed: number,
  street: number,
  fresh: number,
  sales: number,
  module: 'desktop' | 'laptop' = 'desktop',
): CataloguePart {
  return part('memory', 'Palisado', name, street, fresh, sales, {
    memoryGeneration: generation,
    kitCount: kit,
    capacityGb: capacity,
    speedMts: speed,
    module,
  })
}

function drive(
  name: string,
  capacity: number,
  kind: 'ssd' | 'hdd',
  link: 'sata' | 'nvme',
  street: number,
  fresh: number,
  sales: number,
): CataloguePart {
  return part('storage', 'Fathomline', name, street, fresh, sales, {
    capacityGb: capacity,
    drive: kind,
    interface: link,
  })
}

function supply(
  name: string,
  watts: number,
  six: number,
  eight: number,
  shape: string,
  street: number,
  fresh: number,
  sales: number,
): CataloguePart {
  return part('supply', 'Steadwell', name, street, fresh, sales, {
    ratedW: watts,
    sixPinLeads: six,
    eightPinLeads: eight,
    supplyShape: shape,
  })
}

function chassis(
  name: string,
  sizes: readonly string[],
  card: number,
  cooler: number,
  fans: number,
  street: number,
  fresh: number,
): CataloguePart {
  return part('case', 'Barrowcase', name, street, fresh, 30, {
    boardSizes: sizes,
    maxCardMm: card,
    maxCoolerMm: cooler,
    fans,
  })
}

function cooler(
  name: string,
  watts: number,
  height: number,
  sockets: readonly string[],
  street: number,
  fresh: number,
): CataloguePart {
  return part('cooler', 'Lullwater', name, street, fresh, 30, {
    coolerW: watts,
    heightMm: height,
    coolerSockets: sockets,
  })
}

/** Small things a shop always has. */
function small(name: string, fresh: number, facts: PartFacts): CataloguePart {
  return part('extra', 'Tackle', name, 0, fresh, 0, facts)
}

/** A board out of an office machine, with plugs of its maker's own. */
function deskBoard(name: string, socket: string, memoryGeneration: string, m2Slots: number): CataloguePart {
  return part('motherboard', 'Meridon', name, 0, 0, 0, {
    socket,
    memoryGeneration,
    memorySlots: 2,
    formFactor: 'micro-ATX',
    m2Slots,
    sataPorts: 3,
    mainPlug: 'Desk',
  })
}

function donor(
  name: string,
  street: number,
  sales: number,
  socket: string,
  memoryGeneration: string,
  contains: readonly string[],
  supplyShape = 'donor',
): CataloguePart {
  return part('donor', 'Meridon', name, street, 0, sales, { socket, memoryGeneration, supplyShape, contains })
}

const allSizes = ['ATX', 'micro-ATX', 'mini-ITX'] as const
const allSockets = ['SF-1', 'SF-2', 'SF-3', 'TD-A', 'TD-B'] as const

/** Every part of the made-up trade. */
export const catalogue: readonly CataloguePart[] = [
  ...[
    ...sallowfen.map((row) => ['Kaldric', row] as const),
    ...threddle.map((row) => ['Ostrane', row] as const),
  ].map(
    ([make, [name, socket, cores, threads, cpuIndex, limitW, street, fresh, sales, year, graphicsIndex]]) =>
      part('cpu', make, name, street, fresh, sales, {
        socket,
        cores,
        threads,
        cpuIndex,
        limitW,
        year,
        integratedGraphics: graphicsIndex !== undefined,
        ...(graphicsIndex === undefined ? {} : { graphicsIndex, vramGb: 2 }),
      }),
  ),
  ...[
    ...tarn.map((row) => ['Murrowdun', row] as const),
    ...stook.map((row) => ['Sundrel', row] as const),
  ].map(
    ([
      make,
      [
        name,
        vramGb,
        graphicsIndex,
        boardPowerW,
        sixPinLeads,
        eightPinLeads,
        lengthMm,
        street,
        fresh,
        sales,
        year,
      ],
    ]) =>
      part('graphics', make, `${name} ${vramGb} GB`, street, fresh, sales, {
        vramGb,
        graphicsIndex,
        boardPowerW,
        sixPinLeads,
        eightPinLeads,
        lengthMm,
        slotsThick: boardPowerW > 140 ? 2.5 : 2,
        year,
      }),
  ),
  ...boards.map(([make, name, socket, memoryGeneration, memorySlots, formFactor, m2Slots, street, fresh]) =>
    part('motherboard', make, name, street, fresh, 42, {
      socket,
      memoryGeneration,
      memorySlots,
      formFactor,
      m2Slots,
      sataPorts: 4,
    }),
  ),
  memoryPart('Palisado 8 GB DDR3 2×4', 'DDR3', 2, 8, 1600, 9, 0, 50),
  memoryPart('Palisado 16 GB DDR3 2×8', 'DDR3', 2, 16, 1600, 19, 0, 50),
  memoryPart('Palisado 8 GB DDR4 1×8', 'DDR4', 1, 8, 3200, 14, 26, 90),
  memoryPart('Palisado 8 GB DDR4 2×4', 'DDR4', 2, 8, 2666, 15, 0, 60),
  memoryPart('Palisado 16 GB DDR4 2×8', 'DDR4', 2, 16, 3200, 31, 49, 170),
  memoryPart('Palisado 16 GB DDR4 1×16', 'DDR4', 1, 16, 3200, 28, 45, 80),
  memoryPart('Palisado 32 GB DDR4 2×16', 'DDR4', 2, 32, 3200, 58, 84, 110),
  memoryPart('Palisado 32 GB DDR4 4×8', 'DDR4', 4, 32, 3000, 54, 0, 40),
  memoryPart('Palisado 16 GB DDR5 2×8', 'DDR5', 2, 16, 5600, 48, 72, 70),
  memoryPart('Palisado 32 GB DDR5 2×16', 'DDR5', 2, 32, 5600, 84, 119, 80),
  memoryPart('Palisado 16 GB DDR4 laptop 2×8', 'DDR4', 2, 16, 3200, 27, 44, 70, 'laptop'),
  memoryPart('Palisado 64 GB DDR4 2×32', 'DDR4', 2, 64, 3200, 119, 169, 30),
  drive('Fathomline Eddy 240 GB SATA', 240, 'ssd', 'sata', 13, 29, 60),
  drive('Fathomline Eddy 480 GB SATA', 480, 'ssd', 'sata', 24, 42, 60),
  drive('Fathomline Eddy 1 TB SATA', 1000, 'ssd', 'sata', 41, 69, 60),
  drive('Fathomline Race 250 GB NVMe', 250, 'ssd', 'nvme', 15, 32, 50),
  drive('Fathomline Race 500 GB NVMe', 500, 'ssd', 'nvme', 26, 45, 90),
  drive('Fathomline Race 1 TB NVMe', 1000, 'ssd', 'nvme', 43, 69, 120),
  drive('Fathomline Race 2 TB NVMe', 2000, 'ssd', 'nvme', 84, 129, 60),
  drive('Fathomline Swell 1 TB NVMe', 1000, 'ssd', 'nvme', 52, 84, 50),
  drive('Fathomline Swell 2 TB NVMe', 2000, 'ssd', 'nvme', 98, 149, 40),
  drive('Fathomline Keel 1 TB HDD', 1000, 'hdd', 'sata', 16, 0, 50),
  drive('Fathomline Keel 2 TB HDD', 2000, 'hdd', 'sata', 27, 59, 50),
  drive('Fathomline Keel 4 TB HDD', 4000, 'hdd', 'sata', 52, 94, 50),
  supply('Steadwell 400 W', 400, 1, 0, 'ATX', 19, 45, 30),
  supply('Steadwell 450 W', 450, 0, 1, 'ATX', 26, 52, 40),
  supply('Steadwell 500 W', 500, 0, 1, 'ATX', 31, 58, 40),
  supply('Steadwell 550 W', 550, 0, 2, 'ATX', 38, 66, 60),
  supply('Steadwell 650 W', 650, 0, 2, 'ATX', 48, 84, 50),
  supply('Steadwell 750 W', 750, 0, 4, 'ATX', 62, 104, 40),
  supply('Steadwell 850 W', 850, 0, 4, 'ATX', 79, 129, 30),
  supply('Steadwell Low 300 W', 300, 0, 0, 'TFX', 16, 0, 30),
  supply('Steadwell Slim 400 W', 400, 1, 0, 'TFX', 42, 74, 20),
  supply('Steadwell Cube 450 W', 450, 0, 1, 'SFX', 54, 89, 30),
  supply('Steadwell Cube 600 W', 600, 0, 2, 'SFX', 71, 119, 30),
  supply('Steadwell Desk 240 W', 240, 0, 0, 'donor', 9, 0, 30),
  chassis('Barrow Six', allSizes, 340, 165, 2, 34, 64),
  chassis('Barrow Six Mesh', allSizes, 350, 165, 4, 46, 84),
  chassis('Barrow Four', ['micro-ATX', 'mini-ITX'], 310, 158, 1, 28, 54),
  chassis('Barrow Four White', ['micro-ATX', 'mini-ITX'], 230, 158, 2, 36, 62),
  chassis('Barrow Two', ['mini-ITX'], 240, 70, 1, 51, 94),
  chassis('Barrow Two Tall', ['mini-ITX'], 320, 130, 2, 64, 114),
  chassis('Barrow Eight', allSizes, 380, 175, 3, 58, 109),
  chassis('Barrow Plain', allSizes, 300, 158, 1, 19, 42),
  chassis('Barrow Flat', ['micro-ATX', 'mini-ITX'], 270, 80, 1, 44, 79),
  chassis('Barrow Glass', allSizes, 360, 165, 3, 49, 89),
  cooler('Lull 90', 95, 58, allSockets, 12, 24),
  cooler('Lull 120', 150, 154, allSockets, 19, 36),
  cooler('Lull 120 Twin', 180, 158, allSockets, 28, 49),
  cooler('Lull 140', 200, 165, ['SF-3', 'TD-B'], 36, 62),
  cooler('Lull Flat', 75, 37, allSockets, 21, 39),
  cooler('Lull Flat Wide', 105, 66, ['SF-2', 'SF-3', 'TD-B'], 31, 52),
  cooler('Lull Water 240', 230, 55, ['SF-3', 'TD-B'], 52, 89),
  cooler('Lull Quiet 120', 140, 152, allSockets, 26, 46),
  part('extra', 'Latchkey', 'Desktop licence', 18, 24, 0, { covers: 'licence' }),
  part('extra', 'Tackle', 'keyboard and mouse', 12, 28, 0, { covers: 'keyboard-mouse' }),
  part('extra', 'Tackle', 'controller', 21, 39, 0, { covers: 'controller' }),
  part('extra', 'Tackle', 'screen cable 2 m', 5, 9, 0, { covers: 'screen-cable' }),
  part('extra', 'Tackle', 'wireless stick', 9, 17, 0, { covers: 'wireless' }),
  part('extra', 'Tackle', 'I/O shield', 4, 0, 0, { fixes: 'shield' }),
  donor('Meridon Desk 10 tower', 38, 40, 'SF-1', 'DDR3', [
    'kaldric-sallowfen-2340',
    'meridon-desk-10-board',
    'palisado-8-gb-ddr3-2-4',
    'fathomline-keel-1-tb-hdd',
    'steadwell-desk-240-w',
    'meridon-desk-tower-case',
    'meridon-desk-cooler',
  ]),
  donor('Meridon Desk 20 tower', 64, 40, 'SF-2', 'DDR4', [
    'kaldric-sallowfen-4160',
    'meridon-desk-20-board',
    'palisado-8-gb-ddr4-1-8',
    'fathomline-eddy-240-gb-sata',
    'steadwell-desk-240-w',
    'meridon-desk-tower-case',
    'meridon-desk-cooler',
  ]),
  donor('Meridon Desk 30 tower', 88, 50, 'SF-2', 'DDR4', [
    'kaldric-sallowfen-4360',
    'meridon-desk-20-board',
    'palisado-16-gb-ddr4-2-8',
    'fathomline-eddy-480-gb-sata',
    'steadwell-desk-240-w',
    'meridon-desk-tower-case',
    'meridon-desk-cooler',
  ]),
  donor(
    'Meridon Desk 30 slim',
    79,
    40,
    'SF-2',
    'DDR4',
    [
      'kaldric-sallowfen-4360',
      'meridon-desk-20-board',
      'palisado-16-gb-ddr4-2-8',
      'fathomline-eddy-480-gb-sata',
      'steadwell-low-300-w',
      'meridon-desk-slim-case',
      'meridon-desk-cooler',
    ],
    'TFX',
  ),
  donor('Meridon Desk 40 tower', 132, 40, 'TD-A', 'DDR4', [
    'ostrane-threddle-41',
    'meridon-desk-40-board',
    'palisado-16-gb-ddr4-2-8',
    'fathomline-race-500-gb-nvme',
    'steadwell-desk-240-w',
    'meridon-desk-tower-case',
    'meridon-desk-cooler',
  ]),
  donor('Meridon Desk 50 tower', 189, 30, 'TD-B', 'DDR4', [
    'ostrane-threddle-33',
    'meridon-desk-50-board',
    'palisado-16-gb-ddr4-2-8',
    'fathomline-race-500-gb-nvme',
    'steadwell-desk-240-w',
    'meridon-desk-tower-case',
    'meridon-desk-cooler',
  ]),
  deskBoard('Desk 10 board', 'SF-1', 'DDR3', 0),
  deskBoard('Desk 20 board', 'SF-2', 'DDR4', 1),
  deskBoard('Desk 40 board', 'TD-A', 'DDR4', 1),
  deskBoard('Desk 50 board', 'TD-B', 'DDR4', 1),
  part('case', 'Meridon', 'Desk tower case', 0, 0, 0, {
    boardSizes: ['micro-ATX'],
    maxCardMm: 210,
    maxCoolerMm: 120,
    fans: 1,
  }),
  part('case', 'Meridon', 'Desk slim case', 0, 0, 0, {
    boardSizes: ['micro-ATX'],
    maxCardMm: 172,
    maxCoolerMm: 60,
    fans: 1,
  }),
  part('cooler', 'Meridon', 'Desk cooler', 0, 0, 0, {
    coolerW: 84,
    heightMm: 58,
    coolerSockets: allSockets,
    mountIncluded: true,
  }),
  small('SATA to 6-pin adapter', 4, { feedsFrom: 'sata', feedsTo: '6-pin', carriesW: 54 }),
  small('SATA to 8-pin adapter', 5, { feedsFrom: 'sata', feedsTo: '8-pin', carriesW: 54 }),
  small('6-pin to 8-pin adapter', 4, { feedsFrom: '6-pin', feedsTo: '8-pin', carriesW: 75 }),
  small('Desk main adapter', 11, { feedsFrom: 'ATX24', feedsTo: 'Desk', carriesW: 240 }),
  small('Desk to ATX24 adapter', 12, { feedsFrom: 'Desk', feedsTo: 'ATX24', carriesW: 180 }),
  small('front-panel adapter', 7, { fixes: 'front-plug' }),
  small('fan splitter', 3, { fixes: 'fan-header' }),
  small('bay frame', 4, { fixes: 'bay' }),
  small('SATA power splitter', 3, { feedsFrom: 'molex', feedsTo: 'sata', carriesW: 54 }),
  small('cooler mount', 8, { fixes: 'mount' }),
  small('low bracket', 6, { fixes: 'low-bracket' }),
  small('bag of screws', 4, { fixes: 'screws' }),
  small('side panel', 14, { fixes: 'panel' }),
  small('CPU lead adapter', 4, { feedsFrom: 'molex', feedsTo: 'cpu', carriesW: 150 }),
  small('USB-C header adapter', 9, { fixes: 'front-usb-c' }),
]

/** A part by its id; throws for a slip of the generator. */
export function cataloguePart(id: string): CataloguePart {
  const found = catalogue.find((each) => each.id === id)
  if (!found) throw new Error(`the catalogue has no "${id}"`)
  return found
}
