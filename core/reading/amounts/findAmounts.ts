import { phrases } from '../../text/phrases'
import { isCurrency, minorDigits } from '../../money/currencies'
import type { Currency } from '../../money/money'
import { plainText } from '../../text/plainText'

/** How figures are written in a paste, as far as it shows. */
export interface Marks {
  /** Said by the one who pastes; settles everything. */
  readonly decimal?: '.' | ','
  /** Marks that stand before one or two last digits somewhere in the paste. */
  readonly seenAsDecimal: ReadonlySet<string>
}

/** An amount of money, or a bare figure that may be one. */
export interface Amount {
  /** Plain decimal text, with the places of its currency; null where it can be read in two ways. */
  readonly value: string | null
  /** The code where the sign says which; null for a sign that several currencies share, and for a bare figure. */
  readonly currency: Currency | null
  /** The shared sign, as `$`; null where none stands. */
  readonly sign: string | null
  readonly isBare: boolean
  readonly start: number
  readonly end: number
}

/** Signs that are one currency wherever they stand. */
const ownSigns: Readonly<Record<string, Currency>> = {
  '€': 'EUR',
  eur: 'EUR',
  euro: 'EUR',
  euros: 'EUR',
  c$: 'CAD',
  ca$: 'CAD',
  cdn$: 'CAD',
  us$: 'USD',
  a$: 'AUD',
  au$: 'AUD',
  nz$: 'NZD',
  hk$: 'HKD',
  s$: 'SGD',
  mx$: 'MXN',
  r$: 'BRL',
  zl: 'PLN',
  zł: 'PLN',
  kc: 'CZK',
  '₹': 'INR',
  '₩': 'KRW',
  '₺': 'TRY',
  '₪': 'ILS',
  '₴': 'UAH',
  fr: 'CHF',
}
/** Signs that several currencies share, with those that use them. */
const sharedSigns: Readonly<Record<string, readonly Currency[]>> = {
  $: ['CAD', 'USD', 'AUD', 'NZD', 'MXN', 'SGD', 'HKD', 'ARS', 'CLP', 'COP'],
  dollars: ['CAD', 'USD', 'AUD', 'NZD', 'SGD', 'HKD'],
  bucks: ['CAD', 'USD', 'AUD', 'NZD', 'SGD', 'HKD'],
  kr: ['SEK', 'NOK', 'DKK', 'ISK'],
  kronor: ['SEK'],
  kroner: ['NOK', 'DKK'],
  ':-': ['SEK', 'NOK', 'DKK'],
  '£': ['GBP', 'EGP', 'LBP'],
  pounds: ['GBP', 'EGP', 'LBP'],
  quid: ['GBP'],
  '¥': ['JPY', 'CNY'],
  yen: ['JPY'],
}

/** Written with a dash for no hundredths. */
const dashUsers: readonly Currency[] = ['EUR', 'CHF', 'SEK', 'NOK', 'DKK']

/** `for $15` is no sign of its own: letters that belong to one begin a word, and single ones stand close to it. */
const before = String.raw`(?:(?<![a-z])[a-z]{3}\s?[€£¥$](?=[\s.]*\d)|(?<![a-z])(?:(?:c|ca|cdn|us|au|nz|hk|mx)\s?|[asr])\$|[€£¥₹₩₺₪₴$]|(?<![a-z])(?:[a-z]{3}|kr)(?=[\s.]*\d))`
const after = String.raw`(?:€|£|¥|₹|₩|₺|₪|₴|(?:c|ca|us|a|au|nz)\$(?!\w)|\$|:-|,-|\.-|(?:euros?|dollars|bucks|pounds|quid|kronor|kroner|yen|kr|zł|zl|kc|fr|[a-z]{3})(?![a-z0-9]))`
const figure = String.raw`\d{1,3}(?:[ ]\d{3})+(?:[.,]\d{1,2})?(?!\d)|\d{1,3}(?:([.,'])\d{3})(?:\1\d{3})*(?:[.,]\d{1,2})?(?!\d)|\d{1,9}(?:[.,]\d{1,3})?(?![\d])`
/** What makes a figure something else than money. */
const notMoney =
  /^\s?(?:(?:gb|go|tb|to|mb|mhz|ghz|hz|mm|cm|fps)(?![a-z])|w\b|watts?|inch|"|%|°|v\b|[x×]\s?[\d€£¥$]|hours|hrs|pins?\b|pcs|pieces|cores?\b|threads?|st\b(?!\.)|nd\b|rd\b|th\b|km\b|bids?\b|gebote|bud\b|pujas?\b|encheres?)/

/**
 * The amounts of a line, from left to right: figures with a sign or code, and bare ones. A space groups thousands only
 * at the start of the text or after a sign. Three digits behind a single mark are thousands, unless that mark is seen
 * before decimals elsewhere: then the amount can be read in two ways.
 *
 * @param home settles which currency a shared sign means, where it is one of those that use it
 * @example findAmounts('1.150,00 €', 'EUR', marks)[0] // { value: '1150.00', currency: 'EUR' }
 * @example findAmounts('Stook 640, 450 kr', 'SEK', marks).at(-1) // { value: '450.00', currency: 'SEK' }
 */
export function findAmounts(line: string, home: Currency, marks: Marks): Amount[] {
  const text = plainText(line)
  const pattern = new RegExp(`(${before})?[ ]?(?<![\\p{L}\\d.,])(?:${figure})`, 'gu')
  const found: Amount[] = []
  let match: RegExpExecArray | null
  while ((match = pattern.exec(text)) !== null) {
    const lead = ownLead(match[1] ?? '')
    const signBefore = signOf(lead)
    const skipped = (match[1] ?? '').length - lead.length
    const from = match.index + (signBefore === null ? match[0].search(/\d/) : skipped)
    const digitsAt = match.index + match[0].search(/\d/)
    let digits = text.slice(digitsAt, match.index + match[0].length)
    // a space groups only at the start, after a sign or a word for a price
    if (digits.includes(' ') && signBefore === null && !opensAmount.test(text.slice(0, digitsAt))) {
      digits = digits.slice(0, digits.indexOf(' '))
      pattern.lastIndex = digitsAt + digits.length
    }
    const end = digitsAt + digits.length
    const rest = text.slice(end)
    if (notMoney.test(rest) && signBefore === null) continue
    if (signBefore === null && /[\p{L}\d][-/.]$/u.test(text.slice(0, digitsAt))) continue
    // `$52.00 USD`: the code says which of the currencies of the sign
    const codeBehind = signBefore?.code === null ? /^ ?([a-z]{3})(?![a-z0-9])/.exec(rest) : null
    const code = codeBehind?.[1]!.toUpperCase()
    const stated = code !== undefined && signBefore!.users.includes(code) ? code : null
    const behind = signBefore === null ? new RegExp(`^[ ]?(${after})(?!\\d)`, 'u').exec(rest) : null
    const signBehind = behind ? signOf(behind[1]!) : null
    const sign = signBefore ?? signBehind
    if (sign === null && /^[\p{L}]/u.test(rest)) continue
    const currency =
      stated ?? (sign === null ? null : (sign.code ?? (sign.users.includes(home) ? home : null)))
    const sayer = stated !== null ? codeBehind : signBehind !== null ? behind : null
    const to = end + (sayer?.[0].length ?? 0)
    found.push({
      value: readFigure(digits, currency ?? home, marks),
      currency,
      sign: sign !== null && sign.code === null ? sign.text : null,
      isBare: sign === null,
      start: from,
      end: to,
    })
    if (to > end) pattern.lastIndex = to
  }
  return found
}

const opensAmount =
  /(?:^|[:=→+]|\b(?:slutpris|pris|preis|endpreis|verkaufspreis|prix|precio|price|bud|paid|betalt|frakt|versand|porto|sold for|sald for|solgt for))\s*$/

/** `CAD $18`: the code says which of the currencies of the sign; of `for $18` the sign alone is one. */
function ownLead(lead: string): string {
  const [, word, sign] = /^([a-z]{3})\s?([€£¥$])$/.exec(lead) ?? []
  if (word === undefined) return lead
  const users = sharedSigns[sign!] ?? [ownSigns[sign!]!]
  return users.includes(word.toUpperCase()) ? word : sign!
}

interface Sign {
  readonly text: string
  readonly code: Currency | null
  readonly users: readonly Currency[]
}

function signOf(text: string): Sign | null {
  const plain = text.replace(/\s/g, '')
  if (plain === '') return null
  if (plain === ',-' || plain === '.-') return { text: plain, code: null, users: dashUsers }
  const own = ownSigns[plain]
  if (own) return { text: plain, code: own, users: [own] }
  const users = sharedSigns[plain]
  if (users)
    return users.length === 1 ? { text: plain, code: users[0]!, users } : { text: plain, code: null, users }
  const code = plain.toUpperCase()
  return /^[a-z]{3}$/.test(plain) && isCurrency(code) && !commonWords.has(plain)
    ? { text: plain, code, users: [code] }
    : null
}

/** Three letters that are a currency and a word as well. */
const commonWords: ReadonlySet<string> = new Set(
  phrases(`
  all, try, top, mop, bam, sos, ron, lak, cup, gel, pen, sar, kid, mad, bob
`),
)

/** A figure as plain decimal text with the places of its currency; null where it has two readings. */
export function readFigure(digits: string, currency: Currency, marks: Marks): string | null {
  const places = minorDigits(currency)
  const plain = digits.replace(/[ ']/g, '')
  const last = Math.max(plain.lastIndexOf('.'), plain.lastIndexOf(','))
  if (last < 0) return withPlaces(plain, '', places)
  const mark = plain[last]!
  const behind = plain.length - last - 1
  const count = plain.split(mark).length - 1
  const other = mark === '.' ? ',' : '.'
  const groups = plain.replaceAll(other, '').replaceAll(mark, '')
  if (plain.includes(other) || behind !== 3)
    return count > 1 && behind === 3
      ? withPlaces(groups, '', places)
      : withPlaces(plain.slice(0, last).replace(/[.,]/g, ''), plain.slice(last + 1), places)
  if (count > 1) return withPlaces(groups, '', places)
  // one mark, three digits behind it
  if (marks.decimal !== undefined)
    return marks.decimal === mark
      ? withPlaces(plain.slice(0, last), plain.slice(last + 1), places)
      : withPlaces(groups, '', places)
  if (places === 3) return null
  return marks.seenAsDecimal.has(mark) ? null : withPlaces(groups, '', places)
}

function withPlaces(whole: string, decimals: string, places: number): string | null {
  const kept = decimals.replace(/0+$/, '')
  if (kept.length > places) return null
  const units = whole.replace(/^0+(?=\d)/, '')
  return places === 0 ? units : `${units}.${kept.padEnd(places, '0')}`
}

/** The marks that a text shows to be decimal: before one or two last digits of a figure. */
export function marksOf(text: string, decimal?: '.' | ','): Marks {
  const seen = new Set<string>()
  // not the points of a date or a version
  for (const match of text.matchAll(
    /(?<![\d.,/:-])\d+(?:[.,]\d{3})*([.,])\d{1,2}(?![\d.,/:]*\d)(?!\s?(?:ghz|gb|tb|inch|"|mm|hz))/gi,
  ))
    seen.add(match[1]!)
  return { ...(decimal === undefined ? {} : { decimal }), seenAsDecimal: seen }
}
