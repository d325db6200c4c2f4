import { findAmounts } from '../../amounts/findAmounts'
import { findDate } from '../../dates/findDate'
import { wordsFor } from '../../words/allWords'
import { plainText, wordsOf } from '../../../text/plainText'
import { classifyLine } from './classifyLine'
import type { LineContext, ReadLine } from './readLine'
import { freeShippingAt } from './shippingLine'

const shipped = /\bshipped\s*$/
/** `$160 + shipping`: how much is not said. */
const plus = /^\s*(?:\+|plus\b|zzgl\.?|excl\.?|excluding\b|exkl\.?|ohne\b|hors\b|&)/i
const between = /[+,;(&]|\b(?:plus|and|zzgl|und|et|y|och|mas)\b/i

/** `$74 + $6.25`: what is paid on top of a price is shipping. */
const bothSigned =
  /^\s*(?:[A-Z]{0,3}\s?\p{Sc}\s?\d[\d.,]*|\d[\d.,]*\s?\p{Sc})\s*\+\s*(?:[A-Z]{0,3}\s?\p{Sc}\s?\d[\d.,]*|\d[\d.,]*\s?\p{Sc})\s*$/u
const bothPlain = /\d[.,]\d\d\s*\+\s*\d+[.,]\d\d/
/**
 * What was paid and what sending it cost, where one line says both: `£115.50 + £4.20 postage`, `$155 shipped`; null
 * where it says anything else.
 */
export function priceAndShipping(whole: string, line: number, context: LineContext): ReadLine[] | null {
  // `$84 + $11 shipping = $95`: the sum says nothing new
  const raw = whole.replace(/\s*=\s*\S+(?:\s[A-Z]{3})?\s*$/, '')
  const words = wordsOf(plainText(raw))
  const freeAt = freeShippingAt(words)
  const free = freeAt === null ? undefined : words[freeAt]!.start
  const isShipped = free === undefined && shipped.test(plainText(raw))
  const isSum = bothSigned.test(raw)
  if (free === undefined && !isShipped && !isSum && !wordsFor('shipping').has(words)) return null
  // the figures of a day are no amounts
  if (findDate(raw, context)) return null
  const [price, second, third] = findAmounts(raw, context.home, context.marks)
  if (!price || third) return null
  // `48.99 + 8.15 post`: two with decimals and a plus between them
  if (price.isBare && !(second && bothPlain.test(raw))) return null
  const open = plus.exec(raw.slice(price.end))
  const cut = second
    ? cutBetween(raw, price.end, second.start)
    : (free ?? (isShipped ? plainText(raw).search(shipped) : open ? price.end + open.index : -1))
  if (cut < price.end) return null
  const [head, tail] = [raw.slice(0, cut), raw.slice(cut)].map((piece) =>
    classifyLine(piece.replace(/[\s,;(&+]+$/, ''), line, context),
  ) as [ReadLine, ReadLine]
  if (isSum && head.kind === 'price')
    return [head, { line, raw: tail.raw, kind: 'shipping', shipping: second!, isSold: false }]
  if ((head.kind !== 'price' && head.kind !== 'bare') || tail.kind !== 'shipping') return null
  return [{ ...head, kind: 'price' }, isShipped ? { ...tail, shipping: 'free' } : tail]
}

/** Where the second amount begins with its plus or its words; −1 where nothing parts the two. */
function cutBetween(raw: string, from: number, to: number): number {
  const sign = between.exec(raw.slice(from, to))
  return sign ? from + sign.index : -1
}

/** What a piece of a line says: price and shipping both, or one thing. */
export const readPiece = (raw: string, line: number, context: LineContext): ReadLine[] =>
  priceAndShipping(raw, line, context) ?? [classifyLine(raw, line, context)]
