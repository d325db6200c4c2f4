import Big from 'big.js'
import { CoreError } from '../errors/coreError'
import { minorDigits } from './currencies'
import type { Currency } from './money'

const decimalPattern = /^[+-]?\d{1,12}(\.\d{1,12})?$/

/**
 * Reads a decimal string ("129.50") into integer minor units of a currency.
 * Throws `not-a-decimal` for anything but plain digits with one point, and `too-many-places` where the currency
 * has fewer places than the text, since silently rounding somebody's price would be a silent default.
 *
 * @example parseDecimal('129.5', 'CAD') // 12950
 */
export function parseDecimal(text: string, currency: Currency, path = ''): number {
  const trimmed = text.trim()
  if (!decimalPattern.test(trimmed)) {
    throw new CoreError('not-a-decimal', { text: text.slice(0, 40) }, path)
  }
  const digits = minorDigits(currency)
  const point = trimmed.indexOf('.')
  const places = point === -1 ? '' : trimmed.slice(point + 1)
  if (places.length > digits) {
    throw new CoreError('too-many-places', { trimmed, currency, digits }, path)
  }
  const whole = point === -1 ? trimmed : trimmed.slice(0, point)
  const sign = trimmed.startsWith('-') ? -1 : 1
  const minor = Number(whole.replace(/^[+-]/, '') + places.padEnd(digits, '0'))
  if (!Number.isSafeInteger(minor)) {
    throw new CoreError('amount-too-large', { trimmed }, path)
  }
  return minor === 0 ? 0 : sign * minor
}

/** Writes minor units as a plain decimal string, the opposite of `parseDecimal`. */
export function toDecimal(amount: number, currency: Currency): string {
  const digits = minorDigits(currency)
  return new Big(amount).div(new Big(10).pow(digits)).toFixed(digits)
}

/**
 * amount · numerator / denominator, rounded half away from zero once, in exact decimal arithmetic
 * (12.5 % of 1 020 is 127.5 and rounds to 128; floating point would sometimes say 127).
 */
export function scaleAmount(
  amount: number,
  numerator: number | string,
  denominator: number | string = 1,
): number {
  return roundAmount(new Big(amount).times(numerator).div(denominator))
}

/** Rounds an exact decimal to a whole amount, half away from zero. */
export function roundAmount(exact: Big): number {
  const rounded = exact.round(0, Big.roundHalfUp).toNumber()
  return rounded === 0 ? 0 : rounded
}

/** Rounds a computed (floating) amount half away from zero; used where the figure itself is an interpolation. */
export function roundHalfAway(value: number): number {
  const rounded = Math.sign(value) * Math.round(Math.abs(value))
  return rounded === 0 ? 0 : rounded
}

/** `percent` of an amount, exact, rounded once. */
export function percentOf(amount: number, percent: number | string): number {
  return scaleAmount(amount, percent, 100)
}
