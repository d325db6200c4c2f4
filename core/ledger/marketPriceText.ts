import { formatAmount } from '../money/formatAmount'
import type { ReceiptTotals } from './receipt'

type Known = Pick<ReceiptTotals, 'anyoneCanPay' | 'unknownStreet'>

/**
 * The market price, said as what it is: at least so much where some parts have none. Null where none has one.
 *
 * @example 514.72 is known, of one part nothing: `at least 514.72`
 */
export function marketPriceText({ anyoneCanPay, unknownStreet }: Known, currency: string): string | null {
  if (unknownStreet === 0) return formatAmount(anyoneCanPay, currency)
  return anyoneCanPay === 0 ? null : `at least ${formatAmount(anyoneCanPay, currency)}`
}

/** The same in a document, with how many parts have none. */
export function marketPriceLine(totals: Known, currency: string): string {
  const said = marketPriceText(totals, currency) ?? 'not known'
  return totals.unknownStreet === 0 ? said : `${said} (${totals.unknownStreet} without a street price)`
}
