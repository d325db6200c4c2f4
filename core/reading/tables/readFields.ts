import { parseDecimal } from '../../money/decimal'
import { isCurrency, minorDigits } from '../../money/currencies'
import { isCalendarDate, type CalendarDate } from '../../time/calendarDate'

/** A cell that could not be understood; becomes a problem of its line. */
export class FieldError extends Error {
  constructor(
    readonly code: string,
    message: string,
  ) {
    super(message)
  }
}

/**
 * Reads a price as people write it: `129.50`, `129,50`, `1 299.00`, `1,299.00`, `$129`, `CA$ 129`. One sign that
 * stands three digits from the end, and no other, is ambiguous only where the currency has three places.
 */
export function readPrice(cell: string, currency: string): number {
  const plain = cell.replace(/[^\d.,-]/g, '').replace(/[.,-]+$/, '')
  if (!/\d/.test(plain)) throw new FieldError('price', `"${cell.slice(0, 30)}" is not a price`)
  const lastPoint = plain.lastIndexOf('.')
  const lastComma = plain.lastIndexOf(',')
  const mark = lastPoint > lastComma ? '.' : ','
  const at = Math.max(lastPoint, lastComma)
  const places = at === -1 ? 0 : plain.length - at - 1
  const isDecimal =
    at !== -1 && (places <= 2 || (lastPoint !== -1 && lastComma !== -1)) && plain.split(mark).length === 2
  const normal = isDecimal
    ? `${plain.slice(0, at).replace(/[.,]/g, '')}.${plain.slice(at + 1)}`
    : plain.replace(/[.,]/g, '')
  const digits = minorDigits(currency)
  const trimmed = normal.replace(/\.(\d*?)0*$/, (_, rest: string) => (rest === '' ? '' : `.${rest}`))
  const decimals = trimmed.split('.')[1]?.length ?? 0
  if (decimals > digits)
    throw new FieldError('price', `"${cell.slice(0, 30)}" has more decimal places than ${currency} allows`)
  try {
    return parseDecimal(trimmed, currency)
  } catch {
    throw new FieldError('price', `"${cell.slice(0, 30)}" is not a price`)
  }
}

/** Reads `2026-10-31`, `2026/10/31`, `31.10.2026` and a time stamp that begins with the first. */
export function readDate(cell: string): CalendarDate {
  const text = cell.trim()
  const iso = /^(\d{4})[-/](\d{1,2})[-/](\d{1,2})/.exec(text)
  const dotted = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(text)
  const [year, month, day] = iso
    ? [iso[1]!, iso[2]!, iso[3]!]
    : dotted
      ? [dotted[3]!, dotted[2]!, dotted[1]!]
      : ['', '', '']
  const date = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`
  if (!isCalendarDate(date))
    throw new FieldError('date', `"${text.slice(0, 30)}" is not a date; write 2026-10-31`)
  return date
}

export function readCurrency(cell: string, fallback: string): string {
  const code = cell.trim().toUpperCase() || fallback
  if (code === '')
    throw new FieldError('currency', 'no currency given; add a currency column or set a home currency')
  if (!isCurrency(code))
    throw new FieldError('currency', `"${cell.slice(0, 10)}" is not a known currency code`)
  return code
}

export function readWhole(cell: string, min: number, what: string): number {
  const value = Number(cell.trim())
  if (!Number.isInteger(value) || value < min)
    throw new FieldError(what, `"${cell.slice(0, 20)}" is not a whole number of at least ${min}`)
  return value
}

/** Finds one of a few words, by its spellings. */
export function readWord<T extends string>(
  cell: string,
  spellings: Readonly<Record<T, readonly string[]>>,
  what: string,
): T {
  const text = cell.trim().toLowerCase()
  for (const [value, list] of Object.entries(spellings) as [T, readonly string[]][])
    if (value === text || list.includes(text)) return value
  throw new FieldError(
    what,
    `"${cell.slice(0, 30)}" is not a valid ${what}; use one of: ${Object.keys(spellings).join(', ')}`,
  )
}
