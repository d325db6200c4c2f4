import { addDays } from '../core/time/calendarDate'
import { csvTable } from '../core/sharing/csvCell'
import { catalogue } from './catalogue'
import { chance as makeChance } from './random'
import { demoToday } from './trade'

const sold = 30
/** Parts the story asks about, which every run of the generator must price new. */
const inStory = new Set(['murrowdun-tarn-640-8-gb', 'sundrel-stook-51-8-gb', 'kaldric-sallowfen-5400', 'kaldric-sallowfen-6600', 'northpine-n4-micro', 'palisado-16-gb-ddr4-2-8', 'steadwell-550-w', 'fathomline-race-1-tb-nvme', 'latchkey-desktop-licence', 'tackle-controller', 'tackle-screen-cable-2-m', 'tackle-wireless-stick'])
const year = 365

/** A year of shop prices of 30 parts, written down where they change and once a month, with sales of a few days. */
export function shopPricesCsv(seed: number): string {
  const chance = makeChance(seed)
  const rows: (string | number)[][] = []
  const candidates = catalogue.filter((part) => part.fresh > 0)
  const parts = [...candidates.filter((part) => inStory.has(part.id)), ...candidates.filter((part, index) => !inStory.has(part.id) && index % 3 === 0)].slice(0, sold)
  for (const part of parts) {
    const shop = chance.pick(['circuit-pantry', 'tin-lantern-parts'])
    const rhythm = chance.whole(34, 70)
    const firstSale = chance.whole(5, rhythm)
    const depth = 0.82 + chance.share() * 0.1
    let last = 0
    for (let age = year; age >= 0; age -= 1) {
      const sinceSale = (age + firstSale) % rhythm
      const usual = part.fresh * 1.06 ** (age / year)
      const price = Math.round(sinceSale < 4 ? usual * depth : usual) - 0.01
      if (price !== last || age % 30 === 0) rows.push([shop, part.id, addDays(demoToday, -age), price.toFixed(2), 'CAD'])
      last = price
    }
  }
  return csvTable(['source', 'part', 'date', 'price', 'currency'], rows)
}
