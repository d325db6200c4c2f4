import { netResale } from '../lots/splitLot'
import type { CalendarDate } from '../../time/calendarDate'
import { isRebateOpen, type Rebate, defaultRebateChance } from './rebates'
import { roundHalfAway } from '../../money/decimal'

/** Credit for an old part against selling it oneself. Amounts in minor units. */
export interface TradeInSheet {
  /** The credit, and what it is worth with its chance. */
  readonly credit: number
  readonly creditExpected: number
  /** What selling it brings after fees and postage, once it sells; and with the chance that it does. */
  readonly ownSale: number
  readonly ownSaleExpected: number
  /** Days until it sells at the typical price; null where that is not known. */
  readonly days: number | null
  readonly better: 'trade-in' | 'own-sale'
}

/**
 * "39 now or about 52 after fees in 12 days": the better one has the higher expected sum; on a tie the credit, which
 * is no work.
 *
 * @param sale what it sells for, the seller's fee in percent and postage, and the chances a day that one sells
 */
export function tradeInSheet(
  rebate: Rebate,
  sale: {
    readonly typical: number
    readonly feePercent: number
    readonly shipping: number
    readonly perDay: number
  },
  today: CalendarDate,
): TradeInSheet {
  const credit = rebate.state === 'paid' || isRebateOpen(rebate, today) ? rebate.amount : 0
  const creditExpected =
    rebate.state === 'paid' ? credit : roundHalfAway(credit * (rebate.chance ?? defaultRebateChance))
  const thing = {
    id: rebate.id,
    streetPrice: sale.typical,
    plan: 'resell' as const,
    feePercent: sale.feePercent,
    shipping: sale.shipping,
  }
  const ownSale = netResale({ ...thing, sellsProbability: 1 })
  const ownSaleExpected = netResale(thing)
  return {
    credit,
    creditExpected,
    ownSale,
    ownSaleExpected,
    days: sale.perDay > 0 ? Math.ceil(1 / sale.perDay) : null,
    better: ownSaleExpected > creditExpected ? 'own-sale' : 'trade-in',
  }
}
