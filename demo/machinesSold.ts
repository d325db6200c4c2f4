import { addDays } from '../core/time/calendarDate'
import { catalogue, type CataloguePart } from './catalogue'
import { chance as makeChance, type Chance } from './random'
import type { SoldRow } from './soldRecords'
import { demoToday } from './trade'

const days = 160
const count = 360
/** What a machine fetches of what its parts fetch singly, on the whole. */
const wholeShare = 0.91

const manners = [
  ['local', 55],
  ['auction', 25],
  ['fixed', 20],
] as const

/** Whole machines that were sold, under the titles sellers give them. */
export function machinesSold(seed: number): SoldRow[] {
  const chance = makeChance(seed)
  const cpus = catalogue.filter((part) => part.role === 'cpu')
  const cards = catalogue.filter((part) => part.role === 'graphics')
  const bySales = (parts: readonly CataloguePart[]) =>
    chance.weighted(parts.map((part) => [part, part.sales] as const))
  return Array.from({ length: count }, (_, index) => {
    const card = bySales(cards)
    const cpu = bySales(cpus.filter(({ street }) => card.street > 0.6 * street && card.street < 4 * street))
    const memory = chance.weighted([
      [8, 20],
      [16, 60],
      [32, 20],
    ] as const)
    const drive = chance.pick(['256GB', '480GB', '500GB', '512GB', '1TB', '1TB'])
    const rest = 95 + memory * 2.2 + (drive === '1TB' ? 38 : 22)
    const price = wholeShare * (cpu.street + card.street + rest) * Math.exp(chance.normal() * 0.09)
    const manner = chance.weighted(manners)
    return {
      id: `W${String(40_000 + index * 3)}`,
      source: manner === 'local' ? 'Barnstall' : 'Gavelry',
      title: machineTitle(cpu.name, card.name.replace(/ \d+ GB$/, ''), `${memory}GB`, drive, chance),
      price: (Math.round(price / 5) * 5).toFixed(2),
      shipping: manner === 'local' ? '0.00' : '18.00',
      currency: 'CAD',
      soldOn: addDays(demoToday, -chance.whole(0, days - 1)),
      manner,
      condition: 'used',
      quantity: '',
    }
  })
}

function machineTitle(cpu: string, card: string, memory: string, drive: string, chance: Chance): string {
  const opening = chance.pick([
    'Gaming PC',
    'gaming pc',
    'Gaming computer',
    'Custom built PC',
    'Tower PC',
    'Desktop PC',
    'Home built gaming rig',
    'Budget gaming PC',
    'Compact gaming PC',
  ])
  const ending = chance.pick([
    '',
    '',
    '',
    ' works great',
    ', clean',
    ', no OS',
    ', quiet',
    ' - ready to play',
    ', wifi',
  ])
  return chance.pick([
    `${opening} ${cpu}, ${card}, ${memory}, ${drive} SSD${ending}`,
    `${opening}: ${cpu} / ${card} / ${memory} / ${drive}${ending}`,
    `${opening} | ${card} | ${cpu} | ${memory} RAM${ending}`,
    `${opening} with ${card} and ${cpu}, ${memory} RAM${ending}`,
    `${cpu} ${card} ${memory} ${drive} ${opening.toLowerCase()}${ending}`,
  ])
}
