import { addDays } from '../core/time/calendarDate'
import { csvTable } from '../core/files/export/csvCell'
import { catalogue } from './catalogue'
import { chance as makeChance } from './random'
import { demoToday } from './trade'

const sold = 30
/** Parts the story asks about, which every run of the generator must price new. */
const inStory = new Set([
  'murrowdun-tarn-640-8-gb',
  'sundrel-stook-51-8-gb',
  'kaldric-sallowfen-5400',
  'kaldric-sallowfen-6600',
  'northpine-n4-micro',
  'palisado-16-gb-ddr4-2-8',
  'steadwell-550-w',
  'fathomline-race-1-tb-nvme',
  'latchkey-desktop-licence',
  'tackle-controller',
  'tackle-screen-cable-2-m',
  'tackle-wireless-stick',
])
const year = 365

/** What one shop asks for one part on any day, by its own rhythm of sales. */
export interface ShopItem {
  readonly shop: string
  readonly partId: string
  /** Price in whole CAD less a cent, `age` days before the demo's day (negative: after it). */
  priceAt(age: number): number
}

/** The 30 shop items of the demo, and the small things that a shop always has. */
export function shopItems(seed: number): ShopItem[] {
  const chance = makeChance(seed)
  const candidates = catalogue.filter((part) => part.fresh > 0 && !isSmall(part))
  const parts = [
    ...candidates.filter((part) => inStory.has(part.id)),
    ...candidates.filter((part, index) => !inStory.has(part.id) && index % 3 === 0),
  ].slice(0, sold)
  return [
    ...parts.map((part): ShopItem => {
      const shop = chance.pick(['circuit-pantry', 'tin-lantern-parts'])
      const rhythm = chance.whole(34, 70)
      const firstSale = chance.whole(5, rhythm)
      const depth = 0.82 + chance.share() * 0.1
      return {
        shop,
        partId: part.id,
        priceAt(age) {
          const isSale = (((age + firstSale) % rhythm) + rhythm) % rhythm < 4
          // usual prices move in steps of a few months, as shops do, not day by day
          const usual = Math.round(part.fresh * 1.06 ** (Math.floor((Math.max(0, age) + 60) / 120) / 3))
          return (isSale ? Math.round(usual * depth) : usual) - 0.01
        },
      }
    }),
    ...catalogue.filter(isSmall).map((part): ShopItem => ({
      shop: 'tin-lantern-parts',
      partId: part.id,
      priceAt: () => part.fresh - 0.01,
    })),
  ]
}

/** Adapters and the like: never on sale. */
function isSmall({ role, facts, fresh }: (typeof catalogue)[number]): boolean {
  return role === 'extra' && fresh > 0 && (facts.fixes !== undefined || facts.feedsTo !== undefined)
}

/** A year of shop prices, written down where they change and once a month, with sales of a few days. */
export function shopPricesCsv(seed: number): string {
  return shopTable(shopItems(seed).flatMap((item) => pricesOf(item, year, 0)))
}

export interface ShopRow {
  readonly shop: string
  readonly partId: string
  readonly date: string
  readonly price: number
}

/** An item's prices from one age to another, where they change and every thirty days. */
export function pricesOf(item: ShopItem, fromAge: number, toAge: number): ShopRow[] {
  const rows: ShopRow[] = []
  let last = 0
  for (let age = fromAge; age >= toAge; age -= 1) {
    const price = item.priceAt(age)
    if (price !== last || age % 30 === 0)
      rows.push({ shop: item.shop, partId: item.partId, date: addDays(demoToday, -age), price })
    last = price
  }
  return rows
}

/** Shop prices as CSV. */
export function shopTable(rows: readonly ShopRow[]): string {
  return csvTable(
    ['source', 'part', 'date', 'price', 'currency'],
    rows.map((row) => [row.shop, row.partId, row.date, row.price.toFixed(2), 'CAD']),
  )
}
