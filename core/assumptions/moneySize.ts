import { minorPerUnit } from '../money/currencies'
import type { Currency } from '../money/money'

/**
 * Roughly how many units of a currency buy what one dollar, euro or pound buys. An order of magnitude for defaults and
 * for the steps people haggle in; never used to convert an amount. A currency that is not listed counts as 1.
 */
const roughUnits: Readonly<Record<Currency, number>> = {
  ...{ SEK: 10, NOK: 10, DKK: 10, ISK: 200, CZK: 20, PLN: 5, HUF: 500, RON: 5, UAH: 50, TRY: 50, RUB: 100 },
  ...{ JPY: 100, KRW: 1000, CNY: 10, HKD: 10, TWD: 50, INR: 100, THB: 50, PHP: 50, IDR: 20_000, VND: 20_000 },
  ...{ MXN: 20, BRL: 5, CLP: 1000, COP: 5000, ARS: 1000, ZAR: 20, ILS: 5, KWD: 0.5, BHD: 0.5, OMR: 0.5 },
}

/**
 * Minor units of the amount that serves in a currency as one unit does in dollars.
 * @example moneySize('SEK') // 1000: ten kronor, as much as a dollar of CAD
 */
export function moneySize(currency: Currency): number {
  return minorPerUnit(currency) * (roughUnits[currency] ?? 1)
}
