import { array, bool, mixed, number, setLocale, string, type Schema } from 'yup'
import { idGrammar } from './text/plainId'
import { isCurrency } from '../core/money/currencies'
import { isCalendarDate } from '../core/time/calendarDate'

/** The fields that every schema is made of, with messages that say what to do. */

// an emptied field of a form comes as null: it is asked for in plain words
setLocale({ mixed: { required: '${path}: enter a value', notNull: '${path}: enter a value' } })

/** A text that must come as a text: yup's own would quietly turn a number into one. */
export function text() {
  return withoutCasting(string())
}

export function numeric() {
  return withoutCasting(number())
}

export function yesOrNo() {
  return withoutCasting(bool())
}

/** Takes away the casts; defaults stay, which `strict()` would lose. */
function withoutCasting<S extends Schema>(schema: S): S {
  schema.transforms = []
  return schema
}

const decimal = /^[+-]?\d{1,12}(\.\d{1,6})?$/

/** A decimal string such as "129.50"; whether the currency has so many places is asked where the currency is known. */
export function decimalText(options: { min?: 'zero' | 'any' } = {}) {
  return text()
    .test(
      'amount',
      '${path} is not an amount; write digits with a point, such as 129.50',
      (value, context) =>
        value === undefined || value === null || decimal.test(value)
          ? true
          : value === ''
            ? context.createError({ message: '${path}: enter an amount' })
            : false,
    )
    .test(
      'not-negative',
      '${path} must not be negative',
      (value) => options.min === 'any' || value === undefined || value === null || !value.startsWith('-'),
    )
}

export function currencyCode() {
  return text().test(
    'currency',
    '${path} is not a known currency code; use three capital letters such as CAD',
    (value) => value === undefined || isCurrency(value),
  )
}

export function calendarDate() {
  return text().test(
    'date',
    '${path} is not a date; write it as 2026-10-31',
    (value) => value === undefined || value === null || isCalendarDate(value),
  )
}

export function finite() {
  return numeric().test(
    'finite',
    '${path} must be a finite number',
    (value) => value === undefined || value === null || Number.isFinite(value),
  )
}

export function share() {
  return finite().min(0, '${path} must be between 0 and 1').max(1, '${path} must be between 0 and 1')
}

export function percent() {
  return finite().min(0, '${path} must be between 0 and 100').max(100, '${path} must be between 0 and 100')
}

export function wholeFrom(min: number) {
  return finite().integer('${path} must be a whole number').min(min, '${path} must be at least ${min}')
}

export function oneOf<const T extends string>(values: readonly T[]) {
  return mixed<T>().oneOf([...values], `\${path} must be one of: ${values.join(', ')}`)
}

/** A record such as `{ id: "keep" }`. */
export function recordOf<T>(inner: Schema<T>, what: string) {
  return mixed<Record<string, T>>().test('record', `\${path} must be an object of ${what}`, (value) => {
    if (value === undefined) return true
    return (
      typeof value === 'object' &&
      value !== null &&
      !Array.isArray(value) &&
      Object.values(value).every((each) => inner.isValidSync(each, { strict: true }))
    )
  })
}

export function texts() {
  return array().of(text().defined().max(200)).max(500)
}

/** A text without the blanks around it; what is no text is left for the check of its type. */
export function trimmed() {
  return text().transform((value: unknown) => (typeof value === 'string' ? value.trim() : value))
}

/** The name of a thing: needed, trimmed, up to 120 characters. */
export function name() {
  return trimmed().required('${path}: enter a value').max(120)
}

/** A line of free text, empty where nothing was typed. */
export function line(max = 300) {
  return text().max(max).default('')
}

/** The id of a row. */
export function idText() {
  return text()
    .required('${path}: choose one')
    .matches(idGrammar, '${path} must be letters, digits and hyphens, at most 120')
}

/** A frame rate: above 0, up to 2 000. */
export function rate() {
  return finite().moreThan(0, '${path} must be more than 0').max(2000)
}
