import { dateOfDay, dayNumber } from '#core/time/calendarDate'
import type { RecordView } from '#shared/prices/views'

/** A region of the picture: days and unit prices, both ends included. Prices in minor units. */
export interface Brush {
  readonly from: string
  readonly to: string
  readonly low: number
  readonly high: number
}

/** A region as it stands in the address, `2026-09-01_2026-10-02_9000_12000`; null for anything else. */
export function readBrush(text: string): Brush | null {
  const match = /^(\d{4}-\d{2}-\d{2})_(\d{4}-\d{2}-\d{2})_(\d+)_(\d+)$/.exec(text)
  return match ? { from: match[1]!, to: match[2]!, low: Number(match[3]), high: Number(match[4]) } : null
}

export function writeBrush({ from, to, low, high }: Brush): string {
  return `${from}_${to}_${low}_${high}`
}

/** The region between two corners given as day numbers and prices, in any order. */
export function brushBetween(
  a: { readonly day: number; readonly price: number },
  b: { readonly day: number; readonly price: number },
): Brush {
  return {
    from: dateOfDay(Math.ceil(Math.min(a.day, b.day))),
    to: dateOfDay(Math.floor(Math.max(a.day, b.day))),
    low: Math.max(0, Math.round(Math.min(a.price, b.price))),
    high: Math.max(0, Math.round(Math.max(a.price, b.price))),
  }
}

/** Whether a record stands in the region, by what it counts at, or what was paid for all of it where it does not count. */
export function isBrushed(record: RecordView, { from, to, low, high }: Brush): boolean {
  const price = record.unitPrice ?? record.price + record.shipping
  return record.soldOn >= from && record.soldOn <= to && price >= low && price <= high
}

/** Days of a brush, for words. */
export function brushDays({ from, to }: Brush): number {
  return dayNumber(to) - dayNumber(from) + 1
}
