import { CoreError } from '../errors/coreError'
import type { Currency } from './money'

const known = new Set(Intl.supportedValuesOf('currency'))
const digitsMemo = new Map<Currency, number>()

/** True for a current ISO 4217 code in upper case. */
export function isCurrency(code: string): boolean {
  return known.has(code)
}

/**
 * Places after the decimal point of a currency (2 for CAD, 0 for JPY).
 * Throws `unknown-currency` for a code that is not in ISO 4217.
 */
export function minorDigits(currency: Currency): number {
  const memo = digitsMemo.get(currency)
  if (memo !== undefined) return memo
  if (!isCurrency(currency)) {
    throw new CoreError('unknown-currency', { currency })
  }
  const digits =
    new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2
  digitsMemo.set(currency, digits)
  return digits
}

/** Minor units in one unit of a currency: 100 cents to a dollar, 1 where there are none. */
export function minorPerUnit(currency: Currency): number {
  return 10 ** minorDigits(currency)
}
