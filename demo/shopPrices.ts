import { addDays } from '../core/time/calendarDate'
import { csvTable } from '../core/sharing/csvCell'
import { catalogue } from './catalogue'
import { chance as makeChance } from './random'
import { demoToday } from './trade'

const sold = 30
const year = 365

/** A year of shop prices of 30 parts, written down where they change and once a month, with sales of a few days. */
export function shopPricesCsv(seed: number): string {
  const chance = makeChance(seed)
  const rows: (string | number)[][] = []
  const parts = catalogue.filter((part) => part.fresh > 0 && part.role !== 'extra').filter((_, index) => index % 2 === 0).slice(0, sold)
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
