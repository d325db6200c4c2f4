import { wordsFor } from '../../words/allWords'
import { areOnly, PhraseSet } from '../../words/phraseSet'
import { phrases } from '../../../text/phrases'
import { plainText, wordsOf, type PlainWord } from '../../../text/plainText'
import { statesIn } from '../stateOf'
import { dateLine } from './dateLine'
import { hiddenLine, mannerOf, priceLine } from './priceLine'
import { neutral, type Base, type LineContext, type ReadLine } from './readLine'
import { shippingLine } from './shippingLine'

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
