import { minorDigits } from './currencies'
import { roundHalfAway, toDecimal } from './decimal'
import type { Currency } from './money'

/** An amount in whole units of its currency, rounded; for axes and other places where cents only crowd. */
export function formatWhole(amount: number, currency: Currency): string {
  const unit = 10 ** minorDigits(currency)
  return formatAmount(roundHalfAway(amount / unit) * unit, currency).replace(/\.0+$/, '')
}

/** An amount as a plain number of units, for the axis of a chart; never for calculation. */
export function inUnits(amount: number, currency: Currency): number {
  return amount / 10 ** minorDigits(currency)
}

/** An amount for reading: plain digits with thousands divided by a narrow space, and a real minus sign. No currency sign. */
export function formatAmount(amount: number, currency: Currency): string {
  const text = toDecimal(Math.abs(amount), currency)
  const [whole = '', places] = text.split('.')
  const grouped = whole.length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, '\u202f') : whole
  return `${amount < 0 ? '−' : ''}${grouped}${places === undefined ? '' : `.${places}`}`
}
