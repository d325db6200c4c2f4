import { plainText, wordsOf } from '../../text/plainText'
import { statesIn } from '../sales/stateOf'
import { wordsFor } from '../words/allWords'
import { amountsOf } from './listingMoney'
import { modelNumbers } from './modelNumbers'
import type { OfferContext, OfferRead } from './offer'
import { thingsIn } from './offeredThings'

/** The piece of a listing that says something: from `start` up to, not including, `end`. */
export interface OfferSpan {
  readonly what: 'ask' | 'condition' | 'shipping' | 'part'
  readonly start: number
  readonly end: number
  /** Of a part: which one. */
  readonly partId?: string
}

/**
 * Where a listing says what was read from it, in the order of the text; what was deduced from silence has no place.
 *
 * @param read what `readOffer` made of the same text with the same context
 */
export function offerSpans(text: string, read: OfferRead, context: OfferContext): OfferSpan[] {
  const said = amountsOf(text, context.currency, modelNumbers(context.library))
  const spans: OfferSpan[] = thingsIn(text, said, context).flatMap(({ partId, start, end }) =>
    partId === null ? [] : [{ what: 'part' as const, partId, ...withoutBlanks(text, start, end) }],
  )
  const ask = said.find(
    ({ kind, amount }) => (kind === 'price' || kind === 'each') && amount.value === read.price,
  )
  if (ask) spans.push({ what: 'ask', start: ask.start, end: ask.end })
  const shipping = shippingSpan(text, said, read)
  if (shipping) spans.push({ what: 'shipping', ...shipping })
  const words = wordsOf(plainText(text))
  const state = statesIn(words).find(({ condition }) => condition === read.condition)
  if (state)
    spans.push({
      what: 'condition',
      start: words[state.at]!.start,
      end: words[state.at + state.length - 1]!.end,
    })
  return spans.sort((a, b) => a.start - b.start || b.end - a.end)
}

function shippingSpan(text: string, said: ReturnType<typeof amountsOf>, { shipping }: OfferRead) {
  if (shipping === null) return null
  const stated = said.find(({ kind, amount }) => kind === 'shipping' && amount.value === shipping)
  if (stated) return { start: stated.start, end: stated.end }
  const words = wordsOf(plainText(text))
  const [free] = wordsFor('freeShipping').in(words)
  return free ? { start: words[free.at]!.start, end: words[free.at + free.length - 1]!.end } : null
}

function withoutBlanks(text: string, start: number, end: number) {
  const piece = text.slice(start, end)
  return { start: start + piece.length - piece.trimStart().length, end: start + piece.trimEnd().length }
}
