import { pricingDefaults } from '../../assumptions/groups/pricing'
import { CoreError } from '../../errors/coreError'
import { dateOfDay, dayNumber, type CalendarDate } from '../../time/calendarDate'

/** A price written down on a day; it holds until the next one. Amounts in minor units of one currency. */
export interface PricePoint {
  readonly date: CalendarDate
  readonly price: number
}

/** A run of days below the usual price. */
export interface Sale {
  readonly from: CalendarDate
  /** Last day of it. */
  readonly to: CalendarDate
  readonly lowest: number
}

/** What a year of shop prices tells about the next weeks. */
export interface ShopRhythm {
  readonly today: number
  /** Mode of the daily price, else its median. */
  readonly usual: number
  readonly usualBy: 'mode' | 'median'
  /** Lowest price that held two days or more; null where none did. */
  readonly floor: number | null
  readonly sales: readonly Sale[]
  /** Mean days from the start of one sale to the start of the next; null under two sales. */
  readonly everyDays: number | null
  /** Days since the last sale began; null without one. */
  readonly sinceLast: number | null
  /** Whether today is a day of a sale. */
  readonly onSale: boolean
  /** Days until the next sale may be expected; null where no rhythm shows. 0 on a sale day. */
  readonly expectedWait: number | null
  /** The daily price over the days known, oldest first. */
  readonly daily: readonly number[]
  readonly firstDay: CalendarDate
}

export const shopRhythmDefaults = {
  /** A day is a sale day where its price is at least this share below what was usual before. */
  saleDepth: pricingDefaults.saleDepth as number,
  /** Days over which "what was usual before" is taken, so that a slow drift is no sale. */
  usualDays: 90,
} as const

/**
 * Shop price history of docs/formulas.md (Street price). Each price holds until the next one is written down. The
 * usual price is the mode of the daily price over all days known (one price held on more days than any other), else
 * the median. A sale day is one priced at least `saleDepth` below the usual price of the `usualDays` up to it. When a
 * sale is overdue, a whole gap more is expected: the cautious reading.
 *
 * @param points in any order; of two on a day the later in the list stands
 * @returns null where no point is on or before `today`
 * @throws CoreError `bad-price` for a price that is not positive; `not-a-date`
 * @example 30 days at 100, 3 at 80, 27 at 100, 3 at 80, 7 at 100: usual 100, floor 80, every 30 days, last 10 days
 *   ago, 20 to wait
 */
export function shopRhythm(
  points: readonly PricePoint[],
  today: CalendarDate,
  options: Partial<typeof shopRhythmDefaults> = {},
): ShopRhythm | null {
  const { saleDepth = shopRhythmDefaults.saleDepth, usualDays = shopRhythmDefaults.usualDays } = options
  const byDay = new Map<number, number>()
  const last = dayNumber(today, 'today')
  for (const { date, price } of points) {
    if (!(price > 0)) throw new CoreError('bad-price', { price }, 'points')
    const day = dayNumber(date, 'points.date')
    if (day <= last) byDay.set(day, price)
  }
  if (byDay.size === 0) return null
  const first = Math.min(...byDay.keys())
  const daily: number[] = []
  for (let day = first; day <= last; day += 1) daily.push(byDay.get(day) ?? daily[daily.length - 1]!)
  const { price: usual, by } = usualPrice(daily)
  const sales = findSales(daily, first, saleDepth, usualDays)
  const lastSale = sales.at(-1)
  const starts = sales.map((sale) => dayNumber(sale.from))
  const everyDays = starts.length < 2 ? null : (starts.at(-1)! - starts[0]!) / (starts.length - 1)
  const sinceLast = lastSale ? last - starts.at(-1)! : null
  const onSale = lastSale !== undefined && lastSale.to === today
  return {
    today: daily.at(-1)!,
    usual,
    usualBy: by,
    floor: floorOf(daily),
    sales,
    everyDays,
    sinceLast,
    onSale,
    expectedWait: onSale
      ? 0
      : everyDays === null || sinceLast === null
        ? null
        : sinceLast < everyDays
          ? everyDays - sinceLast
          : everyDays,
    daily,
    firstDay: dateOfDay(first),
  }
}

/** Mode where one price has more days than any other, else the median. */
function usualPrice(daily: readonly number[]): { price: number; by: 'mode' | 'median' } {
  const days = new Map<number, number>()
  for (const price of daily) days.set(price, (days.get(price) ?? 0) + 1)
  const mode = modeOf(days)
  return mode === null ? { price: medianOf(daily), by: 'median' } : { price: mode, by: 'mode' }
}

/** The price held on more days than any other; null where two were held equally long. */
function modeOf(days: ReadonlyMap<number, number>): number | null {
  let mode: number | null = null
  let most = 0
  for (const [price, count] of days) {
    if (count > most) [mode, most] = [price, count]
    else if (count === most) mode = null
  }
  return mode
}

function medianOf(daily: readonly number[]): number {
  const sorted = Float64Array.from(daily).sort()
  const middle = sorted.length / 2
  return sorted.length % 2 === 1
    ? sorted[Math.floor(middle)]!
    : Math.round((sorted[middle - 1]! + sorted[middle]!) / 2)
}

function floorOf(daily: readonly number[]): number | null {
  let floor: number | null = null
  for (let day = 1; day < daily.length; day += 1) {
    if (daily[day] === daily[day - 1] && (floor === null || daily[day]! < floor)) floor = daily[day]!
  }
  return floor
}

function findSales(daily: readonly number[], first: number, depth: number, usualDays: number): Sale[] {
  const sales: Sale[] = []
  let from = -1
  let lowest = Infinity
  // the days of each price within the window that ends today, moved on day by day
  const days = new Map<number, number>()
  for (let day = 0; day <= daily.length; day += 1) {
    if (day < daily.length) count(days, daily[day]!, 1)
    if (day > usualDays) count(days, daily[day - usualDays - 1]!, -1)
    const usual = () => modeOf(days) ?? medianOf(daily.slice(Math.max(0, day - usualDays), day + 1))
    const isSale = day < daily.length && daily[day]! <= usual() * (1 - depth)
    if (isSale) {
      if (from < 0) from = day
      lowest = Math.min(lowest, daily[day]!)
    } else if (from >= 0) {
      sales.push({ from: dateOfDay(first + from), to: dateOfDay(first + day - 1), lowest })
      from = -1
      lowest = Infinity
    }
  }
  return sales
}

function count(days: Map<number, number>, price: number, by: number): void {
  const left = (days.get(price) ?? 0) + by
  if (left === 0) days.delete(price)
  else days.set(price, left)
}
