import { addDays } from '../core/time/calendarDate'
import { csvTable } from '../core/files/export/csvCell'
import { catalogue, type CataloguePart } from './catalogue'
import { chance as makeChance, type Chance } from './random'
import { machinesSold } from './machinesSold'
import { title, type Dirt } from './titles'
import { demoToday } from './trade'

const days = 120

/** Two real drifts and one sudden drop; the rest moves by chance only. */
function drift(part: CataloguePart, age: number): number {
  if (part.name.startsWith('Tarn 640 8')) return 1.08 ** (age / 30)
  if (part.role === 'memory' && part.facts.memoryGeneration === 'DDR4') return 0.93 ** (age / 30)
  if (part.name.startsWith('Stook 51 8')) return age > 25 ? 1.14 : 1
  return 1
}

const manners = [
  ['auction', 42],
  ['fixed', 36],
  ['local', 22],
] as const
const mannerFactor = { auction: 0.97, fixed: 1.03, local: 0.94 } as const
const sourceOf = { auction: 'Gavelry', fixed: 'Gavelry', local: 'Barnstall' } as const
const dirtShares: readonly (readonly [Dirt, number])[] = [
  ['clean', 76],
  ['lot', 6],
  ['broken', 6],
  ['accessory', 3],
  ['pair', 2],
  ['wrong-size', 5],
  ['laptop', 2],
]
const copyMakes = ['Zuvo', 'Brantik', 'Quillio']

export interface SoldRow {
  id: string
  source: string
  title: string
  price: string
  shipping: string
  currency: string
  soldOn: string
  manner: string
  condition: string
  quantity: string
}

/** One sale of a part, `age` days before the demo's day (negative: after it). */
export function oneRecord(part: CataloguePart, number: number, age: number, chance: Chance): SoldRow {
  const manner = chance.weighted(manners)
  let dirt = chance.weighted(dirtShares)
  if (dirt === 'laptop' && part.role !== 'memory') dirt = 'clean'
  if (dirt === 'wrong-size' && !['memory', 'storage', 'graphics'].includes(part.role)) dirt = 'clean'
  if ((dirt === 'accessory' && !['graphics', 'cpu'].includes(part.role)) || part.role === 'donor')
    dirt = dirt === 'broken' ? 'broken' : 'clean'
  const copy = dirt === 'clean' && part.role === 'memory' && chance.happens(0.08)
  const factor = {
    clean: 1,
    lot: 1.6 + chance.share() * 2,
    broken: 0.35,
    accessory: 0.12,
    pair: 1.9,
    laptop: 0.88,
    'wrong-size': 0.55 + chance.share(),
  }[dirt]
  const condition =
    dirt === 'broken'
      ? chance.happens(0.7)
        ? 'damaged'
        : 'used'
      : chance.weighted([
          ['used', 82],
          ['refurbished', 9],
          ['opened', 6],
          ['new', 3],
        ] as const)
  const conditionFactor =
    condition === 'new' ? 1.3 : condition === 'opened' ? 1.1 : condition === 'refurbished' ? 1.05 : 1
  let price =
    part.street *
    drift(part, age) *
    mannerFactor[manner] *
    conditionFactor *
    factor *
    (copy ? 0.72 : 1) *
    Math.exp(chance.normal() * 0.11)
  price = chance.happens(0.6) ? Math.round(price) : Math.round(price * 2) / 2
  const foreign = manner !== 'local' && chance.happens(0.035)
  const currency = foreign ? chance.pick(['SEK', 'USD', 'EUR']) : 'CAD'
  const perUnit = { CAD: 1, SEK: 0.1318, USD: 1.372, EUR: 1.541 }[currency] ?? 1
  const text = title(part, dirt, chance)
  return {
    id: `${manner === 'local' ? 'B' : 'G'}${String(100_000 + number * 7)}`,
    source: sourceOf[manner],
    title: copy ? text.replace(/palisado/i, chance.pick(copyMakes)) : text,
    price: Math.max(1, price / perUnit).toFixed(2),
    shipping: manner === 'local' ? '0.00' : (chance.pick([0, 6.5, 8, 9.5]) / perUnit).toFixed(2),
    currency,
    soldOn: addDays(demoToday, -age),
    manner,
    condition,
    quantity: dirt === 'pair' && chance.happens(0.5) ? '2' : '',
  }
}

/** About 7 000 sold records over 120 days, with the dirt of real ones, as CSV. */
export function soldRecordsCsv(seed: number): string {
  const chance = makeChance(seed)
  const rows: SoldRow[] = []
  for (const part of catalogue)
    for (let i = 0; i < part.sales; i += 1)
      rows.push(oneRecord(part, rows.length, chance.whole(0, days - 1), chance))
  const doubles = Array.from({ length: Math.round(rows.length * 0.02) }, (_, index) => ({
    ...chance.pick(rows),
    id: `R${500_000 + index}`,
  }))
  rows.push(...doubles, ...machinesSold(seed + 50))
  const order = rows
    .map((row) => [chance.share(), row] as const)
    .sort((a, b) => a[0] - b[0])
    .map(([, row]) => row)
  return soldTable(order)
}

/** Sold records as CSV. */
export function soldTable(rows: readonly SoldRow[]): string {
  return csvTable(
    [
      'record id',
      'market',
      'title',
      'sold for',
      'postage',
      'currency',
      'sold on',
      'manner of sale',
      'condition',
      'pieces',
    ],
    rows.map((row) => [
      row.id,
      row.source,
      row.title,
      row.price,
      row.shipping,
      row.currency,
      row.soldOn,
      row.manner,
      row.condition,
      row.quantity,
    ]),
  )
}
