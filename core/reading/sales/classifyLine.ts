import { phrases } from '../../text/phrases'
import type { Currency } from '../../money/money'
import { findAmounts, type Amount, type Marks } from '../amounts/findAmounts'
import { findDate, type DateContext, type FoundDate } from '../dates/findDate'
import { wordsFor } from '../words/allWords'
import { areOnly, PhraseSet } from '../words/phraseSet'
import { plainText, wordsOf, type PlainWord } from '../../text/plainText'
import type { Condition, Manner } from './soldRecord'
import { statesIn } from './stateOf'

/** What a line of a page of results says, as a whole: all its words belong to one class, else it is (part of) a title. */
export interface ReadLine {
  readonly line: number
  readonly raw: string
  readonly kind: 'date' | 'price' | 'hidden' | 'bare' | 'shipping' | 'manner' | 'state' | 'about' | 'title'
  readonly date?: FoundDate
  readonly price?: LinePrice
  /** Decimal text; null where it says that it is not known. */
  readonly shipping?: Amount | 'free' | null
  readonly manner?: Manner
  readonly condition?: Condition
  readonly isSold: boolean
  readonly isEach?: boolean
  /** A price or a day by a label that may mean another: it counts where the page states none that is sure. */
  readonly isUnsure?: boolean
  readonly quantity?: number
}

/** The price of a line, or why there is none. */
export interface LinePrice {
  readonly amount: Amount | null
  readonly problem: 'range' | 'several-prices' | 'hidden-price' | 'ambiguous' | null
}

export interface LineContext extends DateContext {
  readonly home: Currency
  readonly marks: Marks
}

const neutral = new PhraseSet(
  phrases(`
  a, the, or, or best, it, and, x, est, estimated, standard, economy, tracked, international, to, in, is,
  of, cost, costs, type, typ, format, possible, available, disponible, moglich, mojlig, mojligt, posible, from, fran, ab, des, desde, calculated, total, local, incl, best, oder, ou, o, eller, condition, zustand, etat,
  estado, skick, state, item condition, per, order, exp, by, via, buyer, paid, charged, extra, additional, number, no, nr,
  last, was, after, excl, exkl, excluding, pour, la, fur, den, para, el, anzahl, antal, nombre, numero, not, specified, tillkommer, ingar, offerts, offert
`),
)
/** Said of shipping, nothing is to be paid for it. */
export const freeWords = new PhraseSet(
  phrases(`
    free, gratis, kostenlos, gratuit, gratuite, gratuits, fri, frei, offert, offerte, offerts, inclus, incluse, compris, incluido,
    incluidos, included, incl, inkl, ingar, none
  `),
)
const saleWords = new PhraseSet(['sale', 'this', 'item', 'items', 'listing'])

/** What a line says; `line` is its number in the text. */
export function classifyLine(whole: string, line: number, context: LineContext): ReadLine {
  const raw = whole.replace(eachAside, '')
  const plain = plainText(raw)
  const words = wordsOf(plain)
  const base = { line, raw: whole.trim(), isSold: wordsFor('sold').has(words) }
  if (ordinal.test(plain)) return { ...base, kind: 'about' }
  const counted = quantityOf(plain)
  if (counted !== null) return { ...base, kind: 'about', quantity: counted }
  const labelFirst = stateLabel.exec(plain)
  if (labelFirst) {
    const state = stateLine(base, wordsOf(plain.slice(labelFirst[0].length)))
    if (state) return state
  }
  return (
    dateLine(base, raw, words, context) ??
    shippingLine(base, raw, words, context) ??
    hiddenLine(base, raw, words, context) ??
    priceLine(base, raw, words, context) ??
    mannerLine(base, words) ??
    stateLine(base, words) ??
    aboutLine(base, words) ??
    labelled(base, raw, line, context) ?? { ...base, kind: 'title', isSold: false }
  )
}

/** `$110.00 ($55.00 each)`: what one of them came to is no second price. */
const eachAside =
  /(?<=\d.{0,6})\s*\([^()\d]*\d[^()]*\b(?:each|ea|apiece|piece|je|stück|stk|st|styck|chacune?|pièce|cada uno|unidad)\b[^()]*\)/iu

/** What stands behind it is the state, whatever the two say together: `État : neuf`. */
const stateLabel = /^\s*(?:item )?(?:condition|state|zustand|artikelzustand|etat|estado|skick) ?: ?/

/** `Day of sale: 9 Oct 2026`: under a label nobody knows, a day is a day and a state a state. */
function labelled(base: Base, raw: string, line: number, context: LineContext): ReadLine | null {
  const [, label, value] = /^\s*(\p{L}[\p{L} .'-]{1,30}):\s+(\S.*)$/u.exec(raw) ?? []
  if (label === undefined || wordsFor('asked').has(wordsOf(plainText(label)))) return null
  const said = classifyLine(value!, line, context)
  if (said.kind === 'date' || said.kind === 'state') return { ...said, raw: base.raw }
  // an amount may be the price, if the page states no other
  return said.kind === 'price' && wordsOf(plainText(label)).length <= 3
    ? { ...said, kind: 'price', isUnsure: true, raw: base.raw }
    : null
}

/** `Sale 2`, `Result 14`: which one of the page it is. */
const ordinal =
  /^\W*(?:sale|item|lot|order|no|nr|number|listing|result|artikel|objekt|vente|venta|commande|bestellung|pedido)\W*\d{1,4}\W*$|^\W*(?:order|item|lot|listing|no|nr|number|commande|bestellung|pedido)\s*(?:#|no\.?|nr\.?|number|nummer)\s*[\d-]{1,20}\W*$/
const saidQuantity =
  /^\W*(?:quantity|qty|menge|anzahl|antal|quantite|cantidad|stuck|styck)(?: sold)?\W*(\d{1,3})\W*$|^(\d{1,3}) (?:pieces|pcs|stuck|stk|st|styck|units|piezas|unidades|pieces)$/
/** `Quantity: 2`; null where the line says no such thing. */
function quantityOf(plain: string): number | null {
  const said = saidQuantity.exec(plain)
  const count = Number(said?.[1] ?? said?.[2] ?? 0)
  return count > 0 ? count : null
}

type Base = Pick<ReadLine, 'line' | 'raw' | 'isSold'>

function outside(words: readonly PlainWord[], spans: readonly { start: number; end: number }[]): PlainWord[] {
  return words.filter((word) => !spans.some((span) => word.start < span.end && word.end > span.start))
}

function dateLine(
  base: Base,
  raw: string,
  words: readonly PlainWord[],
  context: LineContext,
): ReadLine | null {
  const date = findDate(raw, context)
  if (!date) return null
  // `sold for $140 on Oct 3` says more than a day
  const isApart = ({ start, end }: Amount) => end <= date.start || start >= date.end
  if (findAmounts(raw, context.home, context.marks).some((each) => !each.isBare && isApart(each))) return null
  const rest = outside(words, [date]).filter(({ word }) => !/^\d{1,2}h?\d{0,2}$/.test(word))
  if (otherDays.has(words))
    return rest.length <= 4 && !rest.some(hasDigit) ? { ...base, kind: 'about' } : null
  const known = [wordsFor('besideDate'), wordsFor('sold'), saleWords]
  if (!areOnly(rest, known) && !areOnly(withoutName(rest), known)) return null
  return {
    ...base,
    kind: 'date',
    date,
    ...(listedDay.has(words) && !base.isSold ? { isUnsure: true } : {}),
    ...(wordsFor('auction').has(rest) || rest.some(({ word }) => auctionWords.has(word))
      ? { manner: 'auction' as const }
      : {}),
  }
}

/** Beside a day they tell how it was sold. */
const auctionWords: ReadonlySet<string> = new Set(['auction', 'auktion', 'auktionen', 'subasta', 'enchere'])

const hasDigit = ({ word }: PlainWord) => /\d/.test(word)

/** `20 Oct by harlow`: without the name of who sold or bought it. */
function withoutName(rest: readonly PlainWord[]): readonly PlainWord[] {
  const at = rest.findIndex((_, index) => wordsFor('aboutSeller').at(rest, index) !== null)
  return at >= 0 && rest.length - at <= 3 ? rest.slice(0, at) : rest
}

/** Of the page or the seller, not of the thing. */
const otherDays = new PhraseSet(
  phrases(`
    updated, refreshed, viewed, joined, member since, last seen, active, aktualisiert, mitglied seit, mis a jour, membre depuis,
    actualizado, uppdaterad, medlem sedan
  `),
)
/** The day a thing was put up: it counts only where the page has no other. */
const listedDay = new PhraseSet(
  phrases(
    'listed, posted, added, eingestellt, inseriert, mis en ligne, publie, publiee, publicado, publicada, inlagd, upplagd',
  ),
)

function shippingLine(
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

function hiddenLine(
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

function priceLine(
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

function mannerOf(words: readonly PlainWord[]): Manner | null {
  if (wordsFor('auction').has(words)) return 'auction'
  if (wordsFor('pickup').has(words)) return 'local'
  return wordsFor('fixedPrice').has(words) ? 'fixed' : null
}

function mannerLine(base: Base, words: readonly PlainWord[]): ReadLine | null {
  const manner = mannerOf(words) ?? (words.length === 1 && inPerson.has(words) ? 'local' : null)
  if (!manner) return null
  const rest = words.filter(({ word }) => !/^\d+[dhm]?$/.test(word))
  const sets = ['auction', 'fixedPrice', 'besidePrice', 'pageNoise', 'sold'] as const
  if (!areOnly(rest, [...sets.map(wordsFor), neutral])) return null
  return { ...base, kind: 'manner', manner }
}

/** Alone it tells how it was sold; among others it is the place of something. */
const inPerson = new PhraseSet(['local', 'lokal', 'lokalt', 'en mano'])

function stateLine(base: Base, words: readonly PlainWord[]): ReadLine | null {
  const said = statesIn(words)
  if (said.length === 0) return null
  const covered = new Set(
    said.flatMap(({ at, length }) => Array.from({ length }, (_, offset) => at + offset)),
  )
  if (
    !areOnly(
      words.filter((_, index) => !covered.has(index)),
      [neutral],
    )
  )
    return null
  return {
    ...base,
    kind: 'state',
    condition: said.reduce((worst, each) => (each.length > worst.length ? each : worst)).condition,
  }
}

/** `name 98.2% positive (2.4K)`, `seller_name (1,234) 99.8%`. */
const ofSeller =
  /^(?:by|von|par|av) [\p{L}\d_.-]+ \([\d.,]+k?\)$|^[★☆⭐]|^\S+ (?:\([\d.,]+k?\) )?\d{2,3}(?:[.,]\d)? ?%(?: (?:positive|positiv|de votos positivos|d'évaluations positives))?(?: \([\d.,]+k?\))?$/iu

/** `Results for "Quill 70"`: the head of a page. */
const ofSearch =
  /^(?:search|searched|results? (?:for|\d)|gesucht|suche|suchergebnisse?|resultats pour|recherche|resultados (?:para|de)|busqueda|sok|sokresultat|traffar|(?:completed|past|recent) sales (?:for|of)|(?:sold|completed|ended) (?:listings|results|auctions) (?:for|matching|of))(?!\p{L})/u

/** Behind these stands a name, which may have figures in it. */
const namesSeller = new PhraseSet(
  phrases(`
    sold by, listed by, bought from, seller, user, buyer, verkauft von, verkaufer, anbieter, vendu par, vendue par, vendeur,
    vendedor, salt av, saljs av, saljare
  `),
)

/** Tells of the seller, the place or the page: nothing of the thing. */
function aboutLine(base: Base, words: readonly PlainWord[]): ReadLine | null {
  if (words.length === 0 || ofSeller.test(base.raw) || ofSearch.test(plainText(base.raw)))
    return { ...base, kind: 'about' }
  const about = wordsFor('aboutSeller').at(words, 0)
  const saysAmount = /\p{Sc}\s?\d|\d\s?\p{Sc}/u.test(base.raw)
  if (
    !saysAmount &&
    about &&
    words.length <= about.length + 4 &&
    (namesSeller.has(words.slice(0, about.length)) ||
      !words.slice(about.length).some(({ word }) => /\d/.test(word)))
  )
    return { ...base, kind: 'about' }
  const counted = words.filter(({ word }) => !/^[\d.,]+[km]?\+?$/.test(word))
  if (counted.length === 0 && /\p{Sc}/u.test(base.raw)) return null
  if (areOnly(counted, [wordsFor('pageNoise'), wordsFor('sold'), wordsFor('importCharges'), neutral]))
    return { ...base, kind: 'about' }
  return null
}
