import { addDays } from '../core/time/calendarDate'
import { csvTable } from '../core/files/export/csvCell'
import { catalogue, cataloguePart, type CataloguePart } from './catalogue'
import { chance as makeChance, type Chance } from './random'
import { title } from './titles'
import { demoToday } from './trade'

interface LeadRow {
  id: string
  source: string
  title: string
  price: number
  condition: string
  manner: string
  listedOn: string
  endsOn?: string
  place?: string
  parts: string
  note?: string
  code?: string
  rebate?: string
}

/** The leads the story of the first build rests on. */
const story: readonly LeadRow[] = [
  {
    id: 'B-1001',
    source: 'barnstall',
    title: 'Lot: board, Sallowfen 6600, 16 GB, case, old card',
    price: 128,
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-28',
    place: 'Pier Street, 6 km',
    parts:
      'kaldric-sallowfen-6600;northpine-n4-micro;palisado-16-gb-ddr4-2-8;barrowcase-barrow-plain;murrowdun-tarn-420-2-gb:resell',
    note: 'whole innards, just cleared out; memory not shown closely',
  },
  {
    id: 'G-2001',
    source: 'gavelry',
    title: 'Murrowdun Tarn 640 8 GB, no box',
    price: 118,
    condition: 'used',
    manner: 'auction',
    listedOn: '2026-10-27',
    endsOn: '2026-11-02',
    parts: 'murrowdun-tarn-640-8-gb',
  },
  {
    id: 'B-1002',
    source: 'barnstall',
    title: 'Tarn 680 12GB, must go',
    price: 228,
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-29',
    place: 'Cinder Lane, 11 km',
    parts: 'murrowdun-tarn-680-12-gb',
    note: 'tempting: a strong card',
  },
  {
    id: 'B-1003',
    source: 'barnstall',
    title: 'Threddle 31 with board and 8 GB',
    price: 54,
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-26',
    place: 'Pier Street, 6 km',
    parts: 'ostrane-threddle-31;wainscot-beadle-micro;palisado-8-gb-ddr4-2-4',
  },
  {
    id: 'B-1004',
    source: 'barnstall',
    title: 'Steadwell 650 W, two years old',
    price: 32,
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-25',
    place: 'Harbour Steps, 2 km',
    parts: 'steadwell-650-w',
  },
  {
    id: 'C-3001',
    source: 'circuit-pantry',
    title: 'Steadwell 550 W',
    price: 66,
    condition: 'new',
    manner: 'fixed',
    listedOn: '2026-10-20',
    parts: 'steadwell-550-w',
    code: 'AUTUMN percent 10 min 50.00 until 2026-11-08',
    rebate: 'mail-in 10.00 by 2026-11-15',
  },
  {
    id: 'C-3002',
    source: 'circuit-pantry',
    title: 'Fathomline Race 500 GB NVMe',
    price: 45,
    condition: 'new',
    manner: 'fixed',
    listedOn: '2026-10-20',
    parts: 'fathomline-race-500-gb-nvme',
    code: 'AUTUMN percent 10 min 50.00 until 2026-11-08',
  },
  {
    id: 'S-4001',
    source: 'second-socket',
    title: 'Fathomline Race 1 TB NVMe, 4 100 h',
    price: 41,
    condition: 'refurbished',
    manner: 'fixed',
    listedOn: '2026-10-22',
    parts: 'fathomline-race-1-tb-nvme',
  },
  {
    id: 'B-1005',
    source: 'barnstall',
    title: 'Lull 120 tower cooler',
    price: 14,
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-24',
    place: 'Harbour Steps, 2 km',
    parts: 'lullwater-lull-120',
  },
  {
    id: 'T-5001',
    source: 'trestle-row',
    title: 'Counter bundle: Sallowfen 5400, Lintel micro and 16 GB',
    price: 219,
    condition: 'new',
    manner: 'fixed',
    listedOn: '2026-10-30',
    parts: 'kaldric-sallowfen-5400;wainscot-lintel-micro;palisado-16-gb-ddr4-2-8',
  },
  {
    id: 'B-1006',
    source: 'barnstall',
    title: 'Meridon Desk 30 tower, 16 GB',
    price: 82,
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-22',
    place: 'Tallow Yard, 14 km',
    parts: 'meridon-desk-30-tower',
    note: 'own plugs on the supply',
  },
  {
    id: 'B-1007',
    source: 'barnstall',
    title: 'Meridon Desk 20 tower with drive',
    price: 55,
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-29',
    place: 'Tallow Yard, 14 km',
    parts: 'meridon-desk-20-tower',
  },
  {
    id: 'B-1008',
    source: 'barnstall',
    title: 'Tarn 640 "as new"',
    price: 61,
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-30',
    place: 'no place given',
    parts: 'murrowdun-tarn-640-8-gb',
    note: 'no photo; far too cheap',
  },
  {
    id: 'B-1009',
    source: 'barnstall',
    title: 'White case and small supply',
    price: 62,
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-27',
    place: 'Cinder Lane, 11 km',
    parts: 'barrowcase-barrow-four-white;steadwell-slim-400-w',
  },
  {
    id: 'C-3003',
    source: 'circuit-pantry',
    title: 'Palisado 32 GB DDR4 2×16',
    price: 84,
    condition: 'new',
    manner: 'fixed',
    listedOn: '2026-10-21',
    parts: 'palisado-32-gb-ddr4-2-16',
    rebate: 'online 8.00 by 2026-11-12',
  },
]

const placesNear = [
  'Pier Street, 6 km',
  'Cinder Lane, 11 km',
  'Harbour Steps, 2 km',
  'Tallow Yard, 14 km',
  'Gull Row, 4 km',
  'Upper Locks, 23 km',
]
const lotRecipes: readonly (readonly string[])[] = [
  ['cpu', 'motherboard'],
  ['cpu', 'motherboard', 'memory'],
  ['motherboard', 'memory'],
  ['graphics', 'supply'],
  ['case', 'supply'],
  ['cpu', 'cooler'],
]

function single(number: number, chance: Chance): LeadRow {
  const part = chance.pick(catalogue.filter((each) => each.sales > 0 && each.role !== 'donor'))
  const source = chance.weighted([
    ['barnstall', 42],
    ['gavelry', 30],
    ['second-socket', 12],
    ['circuit-pantry', part.fresh > 0 ? 9 : 0],
    ['tin-lantern-parts', part.fresh > 0 ? 7 : 0],
  ] as const)
  const isShop = source === 'circuit-pantry' || source === 'tin-lantern-parts'
  const listed = chance.whole(0, 24)
  const price = isShop
    ? part.fresh * (0.94 + chance.share() * 0.1)
    : part.street * (source === 'second-socket' ? 1.12 : 0.86 + chance.share() * 0.42)
  return {
    id: `L-${7000 + number}`,
    source,
    title: title(part, 'clean', chance),
    price: Math.max(3, Math.round(price)),
    condition: isShop ? 'new' : source === 'second-socket' ? 'refurbished' : 'used',
    manner:
      source === 'barnstall' ? 'local' : source === 'gavelry' && chance.happens(0.7) ? 'auction' : 'fixed',
    listedOn: addDays(demoToday, -listed),
    ...(source === 'gavelry' ? { endsOn: addDays(demoToday, chance.whole(1, 8)) } : {}),
    ...(source === 'barnstall' ? { place: chance.pick(placesNear) } : {}),
    parts: part.id,
  }
}

function lot(number: number, chance: Chance): LeadRow {
  const recipe = chance.pick(lotRecipes)
  const socketBoard = chance.pick(catalogue.filter((part) => part.role === 'motherboard'))
  const things = recipe.map((role): CataloguePart => {
    if (role === 'motherboard') return socketBoard
    const fits = catalogue.filter(
      (part) =>
        part.role === role &&
        part.sales > 0 &&
        (role !== 'cpu' || part.facts.socket === socketBoard.facts.socket) &&
        (role !== 'memory' ||
          (part.facts.memoryGeneration === socketBoard.facts.memoryGeneration &&
            part.facts.module === 'desktop')),
    )
    return chance.pick(fits)
  })
  const worth = things.reduce((sum, part) => sum + part.street, 0)
  return {
    id: `L-${8000 + number}`,
    source: 'barnstall',
    title: `Lot: ${things.map((part) => part.name).join(', ')}`.slice(0, 140),
    price: Math.round(worth * (0.62 + chance.share() * 0.5)),
    condition: 'used',
    manner: 'local',
    listedOn: addDays(demoToday, -chance.whole(0, 20)),
    place: chance.pick(placesNear),
    parts: things
      .map((part, index) => (index > 0 && chance.happens(0.25) ? `${part.id}:resell` : part.id))
      .join(';'),
  }
}

function donor(number: number, chance: Chance): LeadRow {
  const part = chance.pick(catalogue.filter((each) => each.role === 'donor'))
  return {
    id: `L-${9000 + number}`,
    source: chance.pick(['barnstall', 'second-socket']),
    title: title(part, 'clean', chance),
    price: Math.round(part.street * (0.85 + chance.share() * 0.35)),
    condition: 'used',
    manner: 'local',
    listedOn: addDays(demoToday, -chance.whole(0, 20)),
    place: chance.pick(placesNear),
    parts: part.id,
  }
}

/** 150 leads, at least 30 of them lots, bundles or donors, as CSV. */
export function leadsCsv(seed: number): string {
  const chance = makeChance(seed)
  for (const row of story) for (const each of row.parts.split(';')) cataloguePart(each.replace(/[:*].*$/, ''))
  const rows = [
    ...story,
    ...Array.from({ length: 20 }, (_, index) => lot(index, chance)),
    ...Array.from({ length: 8 }, (_, index) => donor(index, chance)),
    ...Array.from({ length: 150 - story.length - 28 }, (_, index) => single(index, chance)),
  ]
  return csvTable(
    [
      'id',
      'source',
      'title',
      'price',
      'currency',
      'condition',
      'manner',
      'listed on',
      'ends on',
      'place',
      'parts',
      'note',
      'code',
      'rebate',
    ],
    rows.map((row) => [
      row.id,
      row.source,
      row.title,
      row.price.toFixed(2),
      'CAD',
      row.condition,
      row.manner,
      row.listedOn,
      row.endsOn ?? '',
      row.place ?? '',
      row.parts,
      row.note ?? '',
      row.code ?? '',
      row.rebate ?? '',
    ]),
  )
}
