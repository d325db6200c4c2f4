import { format, parseISO } from 'date-fns'
import { formatAmount } from '#core/money/formatAmount'

/** Amounts as they stand on screen. */
export function amount(value: number | null | undefined, currency: string): string {
  return value === null || value === undefined ? '—' : formatAmount(value, currency)
}

/** With a sign in front, for differences. */
export function signedAmount(value: number, currency: string): string {
  return value > 0 ? `+${formatAmount(value, currency)}` : formatAmount(value, currency)
}

export function shortDate(date: string): string {
  return format(parseISO(date), 'd MMM')
}

/** A day, with its year where that is another than today's. */
export function dayShown(date: string, today: string): string {
  return format(parseISO(date), date.slice(0, 4) === today.slice(0, 4) ? 'd MMM' : 'd MMM yyyy')
}

/** Month and year, where a scale spans more than one year's days. */
export function monthOf(date: string): string {
  return format(parseISO(date), 'MMM yyyy')
}

export function longDate(date: string): string {
  return format(parseISO(date), 'EEE d MMM yyyy')
}

export function percent(share: number, digits = 0): string {
  return `${(100 * share).toFixed(digits)} %`
}

export function signedPercent(value: number): string {
  return `${value > 0 ? '+' : value < 0 ? '−' : ''}${Math.abs(value).toFixed(1)} %`
}
