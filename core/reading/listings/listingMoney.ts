import { findAmounts, marksOf, type Amount } from '../amounts/findAmounts'
import { wordsFor } from '../words/allWords'
import { plainText, wordsOf } from '../../text/plainText'

/** An amount of a listing, and what it is said to be. */
export interface SaidAmount {
  readonly amount: Amount
  readonly kind: 'price' | 'each' | 'shipping' | 'other'
  /** A bare figure counts as the home currency; null for a shared sign that the home currency does not use. */
  readonly currency: string | null
  /** Where it stands in the text. */
  readonly start: number
  readonly end: number
  /** How surely it is the price: a price word beside it, a sign, or only a figure by itself. */
  readonly sure: 3 | 2 | 1
}

const priceBefore =
  /\b(asking|i'?d (like|want|take)|would like|hoping for|ask(s|ed)?|price( is| dropped from \d+ to)?|want(ing)?|selling (it )?(for|at)|sell(s)? (it )?(for|at)|for sale for|yours for|take|takes|final price|fixed price|festpreis|preis|prix|precio|pris|now|nur|jetzt|for|fur|pour|por|bundle for|nu|vb|to|ask|pris[:]?|price[:]?|asking price|at)\s*:?\s*$/
const priceAfter =
  /^\s*(,-|:-|obo\b|o\.?n\.?o\b|or (\w+ )?offer|firm\b|takes (it|both|all)|cash\b|vb\b|vhb\b|negotiable|each\b|ea\b|bucks|dollars|for (everything|all|both|someone|anyone|whoever|the (lot|set|pair))|together|shipped|a piece|apiece|je\b|takes\b|no trades|takes everything|\+ ?t(a)?x|plus tax)/
const notPriceBefore =
  /\b((bought|purchased|gekauft|achete\w*|kopt\w*|comprad\w*)\b[^.,;$€]{0,20}\b(for|at|fur|pour|por)|paid|was asking|was listed( at| for)?|used to ask|retail( is)?( still)?|bought( it| them)?( new)?( for| at)|cost( me)?|costs|worth|was|were|originally|new price|neupreis|np|uvp|(?<!\blike )new( for)?|instead of|save|about|approximately|approx|maybe|kostade|achete|paye|pagu?e|price dropped from|dropped from|from|off|than|gekostet|ca|originalpreis|nypris)\s*:?\s*(for|at)?\s*$/
/** Before a bare figure: a count of something. */
const countBefore = /\b(over|under|up to|(?<!\bnow )only|last|since|hours:?|health|rpm)\s*:?\s*(for|at)?\s*$/
const notPriceAfter =
  /^\s*(new\b|more\b|less\b|elsewhere|online|retail|in (the )?shops?|off\b|rabatt|hours|h\b|hrs|years?|yrs?|months?|weeks?|days?|day\b|minutes|km\b|miles|%|percent|fps|pieces?\b|pcs|core|cores|bit\b|st\b(?!\.)|nd\b|rd\b|neu\b|neupreis|neuf|nuevo|ny\b|times|of them|warranty|modules|sticks?|drives?|units?)/
const shippingBefore =
  /(?<!\b(?:free|fast|quick|incl\.?|including|inc|to) )\b(shipping( is| costs?)?|ships?( for)?|postage|post(ed)? for|delivery|courier|versand(kosten)?|zzgl\.?|frakt|porto|livraison|port|envoi|expedition|envio|gastos de envio|posting)\s*:?\s*(is |for |of |ist )?$/
const shippingAfter =
  /^\s*((for|to) )?(the )?((recorded|tracked|signed|insured|standard|express|economy) )?(ship|shipping|postage|delivery|post\b|versand|frakt|de (port|livraison|envio)|d'envoi|for (post|shipping)|porto|envio|p&p|courier)\b/

const shippingWord = /^\s*(?:for )?(?:shipping|postage|delivery|versand|frakt|envio|courier)\s*$/
const sharesShipping = (line: string, first: Amount, second: Amount) =>
  shippingWord.test(line.slice(first.end, second.start))
const isLess = (a: Amount, b: Amount) => Number(a.value) < Number(b.value)

/** Lengths of M.2 cards: `SSD, 2280, 15`. */
const cardLength = /^22(?:30|42|60|80|110)$/

/** `not included. 90. working`: a figure that is a sentence is no model, though one has its number. */
const isSentence = (before: string, after: string) => /[.;] $/.test(before) && /^(?:[.;]|$)/.test(after)

/**
 * The amounts of a listing with what they are; figures of sizes, ages and models are none.
 *
 * @param models numbers of models, which are no price where they stand alone
 */
export function amountsOf(text: string, home: string, models: ReadonlySet<string> = new Set()): SaidAmount[] {
  const marks = marksOf(text)
  const found: SaidAmount[] = []
  let offset = 0
  for (const line of text.split('\n')) {
    const plainLine = plainText(line)
    const amounts = findAmounts(line, home, marks)
    for (const [index, amount] of amounts.entries()) {
      const { before, after } = aroundAmount(plainLine, amounts, index)
      const said = kindOf(amount, before, after, plainLine, index === 0 ? 0 : amounts[index - 1]!.end)
      if (!said) continue
      const figure = plainLine.slice(amount.start, amount.end).trim()
      const isModel = models.has(figure) && !isSentence(before, after)
      if (said.sure === 1 && (cardLength.test(figure) || isModel)) continue
      const last = found.at(-1)
      const between = last ? plainLine.slice(Math.max(0, last.end - offset), amount.start) : ''
      // `$90 to $120`: neither is the price
      if (last?.kind === 'price' && last.start >= offset && said.kind === 'price' && range.test(between)) {
        found[found.length - 1] = { ...last, kind: 'other' }
        continue
      }
      found.push({
        amount,
        ...said,
        currency: amount.currency ?? (amount.isBare ? home : null),
        start: offset + amount.start,
        end: offset + amount.end,
      })
    }
    offset += line.length + 1
  }
  return inOneCurrency(found)
}

/** `Price: 105` beside `£6.50 postage`: a bare figure is of the one currency the listing names. */
function inOneCurrency(said: SaidAmount[]): SaidAmount[] {
  const named = new Set(said.filter(({ amount }) => !amount.isBare).map(({ currency }) => currency))
  const [one] = named
  if (named.size !== 1 || one === undefined) return said
  return said.map((each) => (each.amount.isBare ? { ...each, currency: one } : each))
}

/** What stands around an amount; the word between two that says which is the shipping belongs to the smaller. */
function aroundAmount(line: string, amounts: readonly Amount[], index: number) {
  const amount = amounts[index]!
  const [last, next] = [amounts[index - 1], amounts[index + 1]]
  // `$12 shipping $110`, `$110 shipping $12`
  const isOfLast = last !== undefined && sharesShipping(line, last, amount) && isLess(last, amount)
  const isOfNext = next !== undefined && sharesShipping(line, amount, next) && isLess(next, amount)
  return {
    before: isOfLast ? '' : line.slice(Math.max(0, amount.start - 40), amount.start),
    after: isOfNext ? '' : line.slice(amount.end, amount.end + 40),
  }
}

const range = /^\s*(to|-|–|—|bis|till|hasta)\s*$/

function kindOf(
  amount: Amount,
  before: string,
  after: string,
  line: string,
  from: number,
): Pick<SaidAmount, 'kind' | 'sure'> | null {
  if (/[\p{L}\d]-$|#\s?$/u.test(before) && amount.isBare) return null
  if (
    shippingBefore.test(before) ||
    shippingAfter.test(after) ||
    (/\+\s*$/.test(before) && /^\s*(postage|shipping|shipped|versand|frakt|porto|de )/.test(after))
  )
    return { kind: 'shipping', sure: 2 }
  if (notPriceAfter.test(after) || (notPriceBefore.test(before) && !/\bto\s*$/.test(before)))
    return amount.isBare ? null : { kind: 'other', sure: 1 }
  if (amount.isBare && countBefore.test(before)) return null
  const isEach = wordsFor('each').has(wordsOf(after.slice(0, 16))) || /\b(je|each|a|per)\s*$/.test(before)
  if (!amount.isBare)
    return {
      kind: isEach ? 'each' : 'price',
      sure: priceBefore.test(before) || priceAfter.test(after) ? 3 : 2,
    }
  if (priceBefore.test(before) && !modelBefore(line, amount.start))
    return { kind: isEach ? 'each' : 'price', sure: 3 }
  if (priceAfter.test(after)) return { kind: isEach ? 'each' : 'price', sure: 3 }
  return standsAlone(line, amount, from) ? { kind: isEach ? 'each' : 'price', sure: 1 } : null
}

/** `for 640`: a model stands there rather than a price, where a name goes before the word. */
function modelBefore(line: string, at: number): boolean {
  return /\b(bracket|cooler|mount|board|adapter|memory) for\s*$/.test(line.slice(0, at))
}

/** A figure that is a piece by itself: between points, commas and ends of lines, or that opens its line before a colon. */
function standsAlone(line: string, { start, end }: Amount, from: number): boolean {
  const before = line.slice(Math.max(from, 0), start)
  const after = line.slice(end)
  const opens = /(^|[.,;:!?)–—-]+\s+|^\s*|\s{2,}|\/\s*)$/.test(before)
  const closes = /^\s*($|[.,;:!?]+(\s|$)|\s[–—-]\s|\/|\+\s*\d)/.test(after)
  return (
    (opens && closes) ||
    (closes && /\p{L}[\s]+$/u.test(before) && (/^\s*($|\/)/.test(after) || (from > 0 && /^\s*,/.test(after))))
  )
}
