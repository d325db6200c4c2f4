import { addDays, isCalendarDate, type CalendarDate } from '../../time/calendarDate'
import { monthByWord, unitByWord, wordsFor } from '../words/allWords'
import { plainText, wordsOf } from '../../text/plainText'

/** A date found in a text, from `start` up to, not including, `end` of its plain form. */
export interface FoundDate {
  /** Null where it cannot be told; `problem` says why. */
  readonly date: CalendarDate | null
  readonly problem: 'ambiguous' | 'bad-date' | 'future-date' | null
  /** Figures that could be day and month either way round, as they stand. */
  readonly orders: { readonly dayFirst: CalendarDate | null; readonly monthFirst: CalendarDate | null } | null
  readonly start: number
  readonly end: number
}

export interface DateContext {
  readonly today: CalendarDate
  /** Day before month in `04/05/2026`; undefined where that is not known. */
  readonly dayFirst?: boolean | undefined
}

const monthWords = [...monthByWord.keys()].sort((a, b) => b.length - a.length).join('|')
const time = String.raw`(?:[,]?[ ]+(?:kl\.?[ ]*|um[ ]+|at[ ]+|a las[ ]+|a[ ]+)?\d{1,2}[:.h]\d{2}(?::\d{2})?(?:[ ]?(?:am|pm|uhr|h))?)?`
const ordinal = String.raw`(?:st|nd|rd|th|er|º|:e|\.)?`
const year = String.raw`(?:[ ]*(?:,|de|del|-|\/|\.)?[ ]*((?:19|20)\d{2}|'\d{2}|\d{2}(?![:.\dh]))\b)?`
const byIso = new RegExp(
  String.raw`(?<!\d)((?:19|20)\d{2})[-/.](\d{1,2})[-/.](\d{1,2})(?!\d)(?:t\d{2}:\d{2}\S*)?` + time,
)
const byDayMonth = new RegExp(
  String.raw`(?<![\d.,])(\d{1,2})${ordinal}[ -]*(?:of |de )?(${monthWords})(?!\p{L})\.?` + year + time,
  'u',
)
const byMonthDay = new RegExp(
  String.raw`(?<!\p{L})(${monthWords})\.?[ -]+(\d{1,2})${ordinal}(?![\d.h]|:\d)` + year + time,
  'u',
)
const dotted = new RegExp(
  String.raw`(?<![\d.,])(\d{1,2})\.[ ]?(\d{1,2})\.(?:[ ]?((?:19|20)\d{2}|\d{2})(?![\d:]))?(?!\d)` + time,
)
/** `8/10 2026`: with the year apart only where the day stands first. */
const slashedApart = /(?<![\d/])(\d{1,2})\/(\d{1,2}),? +((?:19|20)\d{2})(?!\d)/
/** `sold 10/8`: without a year only behind its word. */
const slashedSold =
  /(?<=(?:sold|ended|closed|verkauft|vendue?|vendid[oa]|s[ao]l[dt])(?: on| am| le| el| den)? )(\d{1,2})(\/)(\d{1,2})(?![\d/])/
const slashed = new RegExp(
  String.raw`(?<![\d/])(\d{1,2})([/-])(\d{1,2})\2((?:19|20)\d{2}|\d{2})(?!\d)` + time,
)

/**
 * The first date of a text, in any of the five languages, absolute or relative. A date without a year is the last one
 * that has passed; a date after today is no reading; dotted dates are day first; a time alone is never a date.
 *
 * @example findDate('Såld 28 okt 14:31', { today: '2026-10-31' }) // { date: '2026-10-28' }
 * @example findDate('04/05/2026', { today: '2026-10-31' }) // { date: null, problem: 'ambiguous' }
 */
export function findDate(text: string, context: DateContext): FoundDate | null {
  const plain = plainText(text)
  return (
    isoDate(plain, context) ??
    worded(plain, context) ??
    relative(plain, context) ??
    dottedDate(plain, context) ??
    slashedDate(plain, context)
  )
}

function isoDate(plain: string, { today }: DateContext): FoundDate | null {
  const match = byIso.exec(plain)
  if (!match) return null
  return settled(iso(Number(match[1]), Number(match[2]), Number(match[3])), match, today)
}

function worded(plain: string, { today }: DateContext): FoundDate | null {
  const dayMonth = byDayMonth.exec(plain)
  const monthDay = byMonthDay.exec(plain)
  const match = dayMonth && (!monthDay || dayMonth.index <= monthDay.index) ? dayMonth : monthDay
  if (!match) return null
  const [day, month] =
    match === dayMonth
      ? [Number(match[1]), monthByWord.get(match[2]!)!]
      : [Number(match[2]), monthByWord.get(match[1]!)!]
  return settled(withYear(day, month, match[3], today), match, today)
}

function dottedDate(plain: string, { today }: DateContext): FoundDate | null {
  const match = dotted.exec(plain) ?? slashedApart.exec(plain)
  if (!match) return null
  return settled(withYear(Number(match[1]), Number(match[2]), match[3], today), match, today)
}

function slashedDate(plain: string, { today, dayFirst }: DateContext): FoundDate | null {
  const match = slashed.exec(plain) ?? slashedSold.exec(plain)
  if (!match) return null
  const [a, b] = [Number(match[1]), Number(match[3])]
  const past = (date: CalendarDate | null) => (date !== null && date <= today ? date : null)
  const asDay = withYear(a, b, match[4], today)
  const asMonth = withYear(b, a, match[4], today)
  const orders = { dayFirst: past(asDay), monthFirst: past(asMonth) }
  const span = { start: match.index, end: match.index + match[0].length }
  if (orders.dayFirst === null && orders.monthFirst === null) {
    const chosen = dayFirst === false ? asMonth : asDay
    return { ...settled(chosen ?? asDay ?? asMonth, match, today), orders: null }
  }
  if (dayFirst !== undefined) {
    const date = dayFirst ? orders.dayFirst : orders.monthFirst
    return { date, problem: date === null ? 'bad-date' : null, orders, ...span }
  }
  if (orders.dayFirst === orders.monthFirst || orders.monthFirst === null)
    return { date: orders.dayFirst, problem: null, orders, ...span }
  if (orders.dayFirst === null) return { date: orders.monthFirst, problem: null, orders, ...span }
  return { date: null, problem: 'ambiguous', orders, ...span }
}

const mostRun = 99
/** Of the words for the past those that stand before the count only. */
const aheadOnly: ReadonlySet<string> = new Set(['for', 'vor', 'hace', 'il', 'depuis'])
const daysOf = { hour: 0, day: 1, week: 7, month: 30, year: 365 } as const
const countWords: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  einem: 1,
  einer: 1,
  un: 1,
  une: 1,
  una: 1,
  en: 1,
  ett: 1,
  two: 2,
  zwei: 2,
  deux: 2,
  dos: 2,
  tva: 2,
}

/** `3 days ago`, `vor 3 Tagen`, `il y a 3 jours`, `hace 3 días`, `för 3 dagar sedan`; yesterday and today. */
function relative(plain: string, { today }: DateContext): FoundDate | null {
  const words = wordsOf(plain)
  const spanOf = (from: number, to: number) => ({
    start: words[from]!.start,
    end: words[to]!.end,
  })
  const found = (days: number, from: number, to: number): FoundDate => ({
    date: addDays(today, -days),
    problem: null,
    orders: null,
    ...spanOf(from, to),
  })
  for (let index = 0; index < words.length; index += 1) {
    const yesterday = wordsFor('yesterday').at(words, index)
    if (yesterday) return found(1, index, index + yesterday.length - 1)
    const now = wordsFor('today').at(words, index)
    if (now) return found(0, index, index + now.length - 1)
    const { word } = words[index]!
    const run = /^(\d{1,3})([dhw])$/.exec(word)
    const count = run ? Number(run[1]) : /^\d{1,3}$/.test(word) ? Number(word) : countWords[word]
    const unit = run ? unitByWord.get(run[2]!) : unitByWord.get(words[index + 1]?.word ?? '')
    // `550W for $31` is no 550 weeks
    if (count === undefined || unit === undefined || (run && count > mostRun)) continue
    const last = run ? index : index + 1
    const said = agoAround(words, index, last)
    if (said) return found(unit === 'month' ? monthsBack(today, count) : count * daysOf[unit], ...said)
  }
  return null
}

function agoAround(
  words: readonly { readonly word: string }[],
  first: number,
  last: number,
): [from: number, to: number] | null {
  const ago = wordsFor('ago')
  const after = aheadOnly.has(words[last + 1]?.word ?? '') ? null : ago.at(words, last + 1)
  for (let from = Math.max(0, first - 3); from < first; from += 1) {
    const before = ago.at(words, from)
    if (before && from + before.length === first) return [from, after ? last + after.length : last]
  }
  return after ? [first, last + after.length] : null
}

/** So many months back by the calendar, in days; the last day of a shorter month. */
function monthsBack(today: CalendarDate, months: number): number {
  const [y, m, d] = today.split('-').map(Number) as [number, number, number]
  const index = y * 12 + m - 1 - months
  for (let day = d; day > 0; day -= 1) {
    const date = iso(Math.floor(index / 12), (index % 12) + 1, day)
    if (date !== null) return Math.round((Date.parse(today) - Date.parse(date)) / 86_400_000)
  }
  return months * 30
}

function settled(date: CalendarDate | null, match: RegExpExecArray, today: CalendarDate): FoundDate {
  const span = { start: match.index, end: match.index + match[0].length, orders: null }
  if (date === null) return { date: null, problem: 'bad-date', ...span }
  if (date > today) return { date: null, problem: 'future-date', ...span }
  return { date, problem: null, ...span }
}

/** Without a year the last such day that has passed. */
function withYear(
  day: number,
  month: number,
  said: string | undefined,
  today: CalendarDate,
): CalendarDate | null {
  const now = Number(today.slice(0, 4))
  if (said !== undefined) {
    const digits = Number(said.replace("'", ''))
    return iso(digits < 100 ? 2000 + digits : digits, month, day)
  }
  for (let back = 0; back < 8; back += 1) {
    const date = iso(now - back, month, day)
    if (date !== null && date <= today) return date
  }
  return null
}

function iso(year: number, month: number, day: number): CalendarDate | null {
  const date = `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`
  return isCalendarDate(date) ? date : null
}

/**
 * Whether day or month comes first in a text of many dates like `04/05/2026`: one that is clear settles the others;
 * undefined where none is clear, or where clear ones differ.
 */
export function dayFirstOf(lines: readonly string[], today: CalendarDate): boolean | undefined {
  let dayFirst = 0
  let monthFirst = 0
  for (const line of lines) {
    const found = slashedDate(plainText(line), { today })
    if (!found?.orders) continue
    if (found.orders.dayFirst !== null && found.orders.monthFirst === null) dayFirst += 1
    if (found.orders.dayFirst === null && found.orders.monthFirst !== null) monthFirst += 1
  }
  if (dayFirst > 0 && monthFirst === 0) return true
  if (monthFirst > 0 && dayFirst === 0) return false
  return undefined
}
