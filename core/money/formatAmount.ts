import { toDecimal } from './decimal'
import type { Currency } from './money'

/** An amount for reading: plain digits with thousands divided by a narrow space, and a real minus sign. No currency sign. */
export function formatAmount(amount: number, currency: Currency): string {
  const text = toDecimal(Math.abs(amount), currency)
  const [whole = '', places] = text.split('.')
  const grouped = whole.length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, '\u202f') : whole
  return `${amount < 0 ? '−' : ''}${grouped}${places === undefined ? '' : `.${places}`}`
}
