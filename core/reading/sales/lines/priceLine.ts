import { findAmounts, type Amount } from '../../amounts/findAmounts'
import { findDate } from '../../dates/findDate'
import { wordsFor } from '../../words/allWords'
import { areOnly } from '../../words/phraseSet'
import { plainText, type PlainWord } from '../../../text/plainText'
import type { Manner } from '../soldRecord'
import { neutral, outside, type Base, type LineContext, type LinePrice, type ReadLine } from './readLine'

/** A line that says that what was paid is not shown. */
export function hiddenLine(
  base: Base,
  raw: string,
  words: readonly PlainWord[],
  context: LineContext,
): ReadLine | null {
  if (!wordsFor('hiddenPrice').has(words)) return null
  const amounts = findAmounts(raw, context.home, context.marks)
  const rest = outside(words, amounts)
  if (!areOnly(rest, [wordsFor('hiddenPrice'), wordsFor('besidePrice'), neutral])) return null
  return { ...base, kind: 'hidden', price: { amount: null, problem: 'hidden-price' } }
}

/** A line of an amount and words that belong to one. */
export function priceLine(
  base: Base,
  raw: string,
  words: readonly PlainWord[],
  context: LineContext,
): ReadLine | null {
  const amounts = findAmounts(raw, context.home, context.marks)
  if (amounts.length === 0) return null
  // `$31.00 10/14/26` says two things
  const date = findDate(raw, context)
  if (date && amounts.some((each) => !each.isBare && (each.end <= date.start || each.start >= date.end)))
    return null
  // `sold for $142.50, 17 bids`: how many is no word of its own
  const rest = outside(words, amounts).filter(
    ({ word, end }, at, all) =>
      !(
        /^\d{1,3}$/.test(word) &&
        // `2 × $12.00`: how many were sold at it
        (wordsFor('auction').at(all, at + 1) || /^\s*[x×]\s*\p{Sc}/u.test(raw.slice(end)))
      ),
  )
  const sets = [
    'besidePrice',
    'notThePrice',
    'nowPrice',
    'each',
    'fixedPrice',
    'auction',
    'importCharges',
    'sold',
  ] as const
  if (!areOnly(rest, [...sets.map(wordsFor), neutral])) return null
  if (wordsFor('importCharges').has(rest) && /^\s*\+/.test(raw)) return { ...base, kind: 'about' }
  if (amounts.every((each) => each.isBare)) {
    // `14 bids`, `12 sold`: counts, no prices
    if (wordsFor('auction').has(rest)) return null
    if (rest.length > 0 && areOnly(rest, [wordsFor('sold')]) && amounts[0]!.start === 0)
      return { ...base, kind: 'about' }
  }
  const isEach = wordsFor('each').has(rest) || /\d\s*[x×]\s*\p{Sc}/u.test(raw)
  const manner = mannerOf(rest) ?? (rest.some(({ word }) => word === 'local') ? 'local' : null)
  const price = priceOf(raw, words, amounts)
  if (price === null) return { ...base, kind: 'about' }
  const isBare = amounts.every((each) => each.isBare) && rest.length === 0
  return {
    ...base,
    kind: isBare ? 'bare' : 'price',
    price,
    isEach,
    ...(manner ? { manner } : {}),
  }
}

/**
 * The price among the amounts of a line: what stands behind `now` or `sold for`, else the one that nothing marks as
 * another. A range, or two that nothing marks, is none.
 *
 * @returns null where every amount is marked as not the price
 */
export function priceOf(
  raw: string,
  words: readonly PlainWord[],
  amounts: readonly Amount[],
): LinePrice | null {
  const signed = amounts.some((each) => !each.isBare)
  const candidates = amounts.filter((each, index) => {
    const from = index === 0 ? 0 : amounts[index - 1]!.end
    const before = words.filter((word) => word.start >= from && word.end <= each.start)
    const mark = lastMark(before)
    return mark !== 'not' && (!signed || !each.isBare || mark === 'now')
  })
  const now = amounts.filter((each, index) => {
    const from = index === 0 ? 0 : amounts[index - 1]!.end
    return lastMark(words.filter((word) => word.start >= from && word.end <= each.start)) === 'now'
  })
  const [one] = now.length === 1 ? now : candidates
  // `$200 → $140`: what it came to
  const isDrop =
    amounts.length === 2 && /^\s*(?:→|➔|➜|⇒|->|=>)\s*$/.test(raw.slice(amounts[0]!.end, amounts[1]!.start))
  if (isDrop) return { amount: amounts[1]!, problem: amounts[1]!.value === null ? 'ambiguous' : null }
  if (now.length !== 1 && amounts.length === 2 && isRange(raw, amounts))
    // `Estimate $60–$90` is none at all
    return lastMark(words.filter(({ end }) => end <= amounts[0]!.start)) === 'not'
      ? null
      : { amount: null, problem: 'range' }
  if (!one) return null
  // `US $35.00 (CA $48.10)`: the same in other money
  if (candidates.length === 2 && isConverted(raw, candidates))
    return { amount: candidates[0]!, problem: null }
  if (now.length !== 1 && candidates.length > 1) return { amount: null, problem: 'several-prices' }
  if (one.value === null) return { amount: one, problem: 'ambiguous' }
  return { amount: one, problem: null }
}

function lastMark(words: readonly PlainWord[]): 'not' | 'now' | null {
  let mark: 'not' | 'now' | null = null
  const [not, now] = [wordsFor('notThePrice'), wordsFor('nowPrice')]
  for (let index = 0; index < words.length; index += 1) {
    const [isNot, isNow] = [not.at(words, index), now.at(words, index)]
    if (isNow && (!isNot || isNow.length >= isNot.length)) mark = 'now'
    else if (isNot) mark = 'not'
    index += Math.max(isNow?.length ?? 1, isNot?.length ?? 1) - 1
  }
  return mark
}

function isConverted(raw: string, [first, second]: readonly Amount[]): boolean {
  return (
    first!.currency !== second!.currency &&
    first!.value !== null &&
    /^\s*\(\s*(?:ca\.?|approx\.?|about|≈|~)?\s*\p{Lu}{0,3}\s?$/iu.test(
      raw.slice(first!.end, second!.start),
    ) &&
    /^\s*\p{Lu}{0,3}\s*\)/iu.test(raw.slice(second!.end))
  )
}

function isRange(raw: string, amounts: readonly Amount[]): boolean {
  const between = plainText(raw).slice(amounts[0]!.end, amounts[1]!.start)
  return /^\s*(?:-|–|—|to|bis|a|till)\s*$/.test(between)
}

/** How it was sold, by the words of a line. */
export function mannerOf(words: readonly PlainWord[]): Manner | null {
  if (wordsFor('auction').has(words)) return 'auction'
  if (wordsFor('pickup').has(words)) return 'local'
  return wordsFor('fixedPrice').has(words) ? 'fixed' : null
}
