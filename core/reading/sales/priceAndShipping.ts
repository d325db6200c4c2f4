import { findAmounts } from '../amounts/findAmounts'
import { wordsFor } from '../words/allWords'
import { plainText, wordsOf } from '../../text/plainText'
import { classifyLine, type LineContext, type ReadLine } from './classifyLine'

const shipped = /\bshipped\s*$/
/** `$160 + shipping`: how much is not said. */
const plus = /^\s*(?:\+|plus\b|zzgl\.?|&)/i
const between = /[+,;(&]|\b(?:plus|and|zzgl|und|et|y|och|mas)\b/i

/**
 * What was paid and what sending it cost, where one line says both: `£115.50 + £4.20 postage`, `$155 shipped`; null
 * where it says anything else.
 */
export function priceAndShipping(raw: string, line: number, context: LineContext): ReadLine[] | null {
  const words = wordsOf(plainText(raw))
  const free = words.find((_, index) => wordsFor('freeShipping').at(words, index) !== null)?.start
  const isShipped = free === undefined && shipped.test(plainText(raw))
  if (free === undefined && !isShipped && !wordsFor('shipping').has(words)) return null
  const [price, second, third] = findAmounts(raw, context.home, context.marks)
  if (!price || price.isBare || third) return null
  const open = plus.exec(raw.slice(price.end))
  const cut = second
    ? cutBetween(raw, price.end, second.start)
    : (free ?? (isShipped ? plainText(raw).search(shipped) : open ? price.end + open.index : -1))
  if (cut < price.end) return null
  const [head, tail] = [raw.slice(0, cut), raw.slice(cut)].map((piece) =>
    classifyLine(piece.replace(/[\s,;(&+]+$/, ''), line, context),
  ) as [ReadLine, ReadLine]
  if (head.kind !== 'price' || tail.kind !== 'shipping') return null
  return [head, isShipped ? { ...tail, shipping: 'free' } : tail]
}

/** Where the second amount begins with its plus or its words; −1 where nothing parts the two. */
function cutBetween(raw: string, from: number, to: number): number {
  const sign = between.exec(raw.slice(from, to))
  return sign ? from + sign.index : -1
}

/** What a piece of a line says: price and shipping both, or one thing. */
export const readPiece = (raw: string, line: number, context: LineContext): ReadLine[] =>
  priceAndShipping(raw, line, context) ?? [classifyLine(raw, line, context)]
