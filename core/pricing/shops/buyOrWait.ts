import { trendForward } from '../trend/trendForward'
import { pricingDefaults, type PricingAssumptions } from '../../assumptions/groups/pricing'
import { roundHalfAway } from '../../money/decimal'
import { daysBetween, type CalendarDate } from '../../time/calendarDate'
import type { ShopRhythm } from './shopRhythm'
import type { Trend } from '../trend/trend'

/** Something that may move prices: a launch expected, a season. */
export interface WaitNote {
  readonly what: string
  readonly expectedOn: CalendarDate
  /** Fall of the price it is expected to bring, percent; negative for a rise. */
  readonly dropPercent: number
  /** 0 to 1: that it comes, and by then. */
  readonly chance: number
}

export interface BuyOrWaitInput {
  /** What it costs today, minor units. */
  readonly price: number
  /** Whether that is a shop's price (its sales count) or a used one (its trend counts). */
  readonly kind: 'used' | 'new'
  readonly today: CalendarDate
  /** Date the machine is wanted by; null: `openEndDays` from today. */
  readonly wantedBy: CalendarDate | null
  readonly trend: Pick<Trend, 'percentPer30Days' | 'direction'> | null
  readonly rhythm: Pick<ShopRhythm, 'expectedWait' | 'floor' | 'onSale' | 'everyDays'> | null
  readonly notes: readonly WaitNote[]
}

export interface BuyOrWait {
  readonly advice: 'buy' | 'wait' | 'level'
  /** Expected price at the best day to buy before the date, minor units. */
  readonly later: number
  /** price − later; negative where waiting costs money. */
  readonly saving: number
  readonly days: number
  /** What moves it, each with the money it is expected to bring (positive: cheaper later). */
  readonly reasons: readonly {
    readonly kind: 'trend' | 'sale' | 'note'
    readonly what: string
    readonly saving: number
  }[]
}

/**
 * Buy now or wait: what the price may be expected to be by the date wanted by. A trend counts only where it is
 * declared rising or falling, for used prices, over all the days left; a sale counts for new prices where it may be
 * expected before the date; a note counts by its chance where it falls before the date. Money of several reasons is
 * added: trend first, the note on what the trend leaves.
 *
 * @example 100.00 used, falling 6 % a month, 30 days left: 94.00 later, wait
 */
export function buyOrWait(
  { price, kind, today, wantedBy, trend, rhythm, notes }: BuyOrWaitInput,
  { worthWaitingFor, openEndDays }: PricingAssumptions = pricingDefaults,
): BuyOrWait {
  const days = wantedBy === null ? openEndDays : Math.max(0, daysBetween(today, wantedBy))
  const reasons: { kind: 'trend' | 'sale' | 'note'; what: string; saving: number }[] = []
  let later = price
  if (kind === 'used' && trend && trend.direction !== 'unclear') {
    const then = roundHalfAway(price * trendForward(trend.percentPer30Days, days))
    reasons.push({
      kind: 'trend',
      what: `${trend.direction} ${Math.abs(trend.percentPer30Days).toFixed(1)} % per month`,
      saving: price - then,
    })
    later = then
  }
  if (
    kind === 'new' &&
    rhythm &&
    !rhythm.onSale &&
    rhythm.floor !== null &&
    rhythm.expectedWait !== null &&
    rhythm.expectedWait <= days &&
    rhythm.floor < price
  ) {
    reasons.push({
      kind: 'sale',
      what: `a sale is due in about ${Math.ceil(rhythm.expectedWait)} days`,
      saving: price - rhythm.floor,
    })
    later = rhythm.floor
  }
  for (const note of notes) {
    const ahead = daysBetween(today, note.expectedOn)
    if (ahead < 0 || ahead > days) continue
    const saving = roundHalfAway((later * note.dropPercent * note.chance) / 100)
    reasons.push({ kind: 'note', what: note.what, saving })
    later -= saving
  }
  const saving = price - later
  const share = price === 0 ? 0 : saving / price
  return {
    advice:
      share >= worthWaitingFor
        ? 'wait'
        : share <= -worthWaitingFor || (kind === 'new' && rhythm?.onSale === true)
          ? 'buy'
          : 'level',
    later,
    saving,
    days,
    reasons,
  }
}
