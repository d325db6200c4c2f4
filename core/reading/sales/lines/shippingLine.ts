import { findAmounts } from '../../amounts/findAmounts'
import { wordsFor } from '../../words/allWords'
import { areOnly } from '../../words/phraseSet'
import { plainText, type PlainWord } from '../../../text/plainText'
import { statesIn } from '../stateOf'
import { freeWords, neutral, outside, type Base, type LineContext, type ReadLine } from './readLine'

/** A line that tells what sending costs, that it costs nothing, or that the thing was fetched. */
export function shippingLine(
  base: Base,
  raw: string,
  words: readonly PlainWord[],
  context: LineContext,
): ReadLine | null {
  const pickup = wordsFor('pickup').has(words)
  const isFree = freeShippingAt(words) !== null
  const isShipping = wordsFor('shipping').has(words)
  const isOnTop = onTop.test(raw)
  if (!pickup && !isFree && !isShipping && !isOnTop) return null
  const amounts = findAmounts(raw, context.home, context.marks)
  const rest = outside(words, amounts)
  const sets = ['pickup', 'freeShipping', 'shipping', 'besidePrice', 'pageNoise'] as const
  // `sold for £38 with postage`: what was paid; `49 € (asked 60 €), pickup only` too
  if (wordsFor('sold').has(words) && amounts.length > 0) return null
  if (!isShipping && amounts.length > 1) return null
  const known = [...sets.map(wordsFor), neutral, freeWords]
  // `Collection from Harlow`
  if (wordsFor('pickup').at(words, 0) && amounts.length === 0 && words.length <= 6)
    return { ...base, kind: 'shipping', shipping: 'free', manner: 'local' }
  // `Free delivery in 2-4 days`
  if (wordsFor('freeShipping').at(words, 0) && words.length <= 8 && statesIn(words).length === 0)
    return { ...base, kind: 'shipping', shipping: 'free' }
  if (!areOnly(rest, known) && !opensWithShipping(plainText(raw), words, rest)) return null
  const [amount] = amounts
  if (isFree) return { ...base, kind: 'shipping', shipping: 'free' }
  if (pickup && !amount) return { ...base, kind: 'shipping', shipping: 'free', manner: 'local' }
  return { ...base, kind: 'shipping', shipping: amounts.length === 1 ? amount! : null }
}

/** `+$14.20` by itself: what is paid on top of a price. */
const onTop = /^\s*\+\s*(?:[A-Z]{0,3}\s?\p{Sc}\s?\d[\d.,]*|\d[\d.,]*\s?(?:\p{Sc}|kr))\s*$/u
const shippingLabel = /(?:shipping|postage|delivery|versand|porto|livraison|envio|frakt)(?: cost)? ?: ?/
/** Where it says that shipping is free: `free S&H`, `Postage: free`; null where it does not. */
export function freeShippingAt(words: readonly PlainWord[]): number | null {
  const [free, shipping] = [wordsFor('freeShipping'), wordsFor('shipping')]
  for (let index = 0; index < words.length; index += 1) {
    if (free.at(words, index)) return index
    const next = freeWords.at(words, index) ? index + 1 : -1
    if (next > 0 && (shipping.at(words, next) || (neutral.at(words, next) && shipping.at(words, next + 1))))
      return index
    const said = shipping.at(words, index)
    if (!said) continue
    const behind = index + said.length
    if (freeWords.at(words, behind) || (neutral.at(words, behind) && freeWords.at(words, behind + 1)))
      return index
  }
  return null
}

/** `Postage with tracking $4`: what begins with its word tells of shipping, if nothing in it looks like a model. */
function opensWithShipping(plain: string, words: readonly PlainWord[], rest: readonly PlainWord[]): boolean {
  return (
    (wordsFor('shipping').at(words, 0) !== null || shippingLabel.test(plain)) &&
    rest.length <= 5 &&
    !rest.some(({ word }) => /\d/.test(word)) &&
    // `shipping $14.20, used` says two things
    statesIn(rest).length === 0
  )
}
