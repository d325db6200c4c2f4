import type { TitleReader } from '../titles/partsInTitle'
import type { Condition } from '../sales/soldRecord'

/** A piece of the text that says something: from `start` up to, not including, `end`. */
export interface Span {
  readonly start: number
  readonly end: number
}

/** A fact read from a listing; `span` null where it was deduced from silence. */
export interface ReadFact<T> {
  readonly value: T
  readonly span: Span | null
}

/** What the plain text of a listing says. Nothing is guessed: what it does not say is null, and asked for. */
export interface ReadListing {
  readonly title: ReadFact<string>
  /** Decimal text with a point. */
  readonly price: ReadFact<string> | null
  readonly currency: ReadFact<string> | null
  /** Decimal text; `0` where it says so; null where it says nothing. */
  readonly shipping: ReadFact<string> | null
  readonly condition: ReadFact<Condition>
  readonly parts: readonly ReadFact<string>[]
  /** single: one part and no doubt; lot: several; unclear or unknown: no proposal is made. */
  readonly kind: 'single' | 'lot' | 'unclear' | 'unknown'
}

/** Said before a part that is not for sale: what it came out of, what it goes with, what is wanted in return. */
const notOffered =
  /\b(from (an?|my|the)|out of|came (out )?of|was in|ran (with|in)|used (with|in|it with)|upgrad\w*|replac\w*|compatible|goes with|works with|pairs|paired|similar to|better than|faster than|as fast as|instead of|looking for|trades? for|swap(s)? for|not included|no longer|sold the|keeping)\b/i
const currencyWords: readonly (readonly [RegExp, string])[] = [
  [/\b(CAD|C\$|CA\$)/i, 'CAD'],
  [/\bUSD|US\$/i, 'USD'],
  [/€|\bEUR\b/i, 'EUR'],
  [/\bSEK\b|\bkr\b/i, 'SEK'],
]

/**
 * Reads the plain text of a listing as people write them. Parts are looked for in the pieces between commas, pluses,
 * bullets, line ends and words that join; a piece that only tells what the thing came out of or goes with is passed
 * over. Prices paid new, retail prices and postage are not taken for the ask.
 *
 * @param reader reads which part a piece names; see `TitleReader`
 * @param isMinor parts that come along with another one and are no thing of a lot by themselves (a shield, a cable)
 */
export function readListing(
  text: string,
  reader: TitleReader,
  isMinor: (partId: string) => boolean = () => false,
): ReadListing {
  const title = firstLine(text)
  const pieces = cut(text)
  const found: ReadFact<string>[] = []
  let unclear = false
  let damaged = false
  let saysLot = false
  for (const piece of pieces) {
    const words = text.slice(piece.start, piece.end)
    const barred = notOffered.exec(words)
    const named = barred ? words.slice(0, barred.index) : words
    if (!/\d|[a-z]{3}/i.test(named)) continue
    const match = reader.read(named)
    damaged ||= match.damaged
    if (match.kind === 'unclear') unclear = true
    if (match.kind === 'lot') saysLot = true
    if (match.kind === 'single' || match.kind === 'lot')
      for (const partId of match.partIds)
        if (!found.some((each) => each.value === partId))
          found.push({
            value: partId,
            span: { start: piece.start, end: piece.start + named.trimEnd().length },
          })
  }
  if (found.length === 0) {
    // a title cut apart may name its part only as a whole
    const whole = reader.read(title.value)
    if (whole.kind === 'single') found.push({ value: whole.partIds[0]!, span: title.span })
    damaged ||= whole.damaged
    unclear ||= whole.kind === 'unclear'
  }
  damaged ||= reader.read(`${title.value}`).damaged
  const price = readPrice(text)
  const things = found.some((each) => !isMinor(each.value))
    ? found.filter((each) => !isMinor(each.value))
    : found
  return {
    title,
    price,
    currency: readCurrency(text, price),
    shipping: readShipping(text, price),
    condition: readCondition(text, damaged),
    parts: things,
    kind:
      things.length > 1 || (things.length === 1 && saysLot)
        ? 'lot'
        : things.length === 1
          ? 'single'
          : unclear
            ? 'unclear'
            : 'unknown',
  }
}

function firstLine(text: string): ReadFact<string> {
  const match = /[^\n]*\S[^\n]*/.exec(text)
  const value = (match?.[0] ?? '').trim().slice(0, 200)
  const start = match ? match.index + match[0].indexOf(value) : 0
  return { value, span: value === '' ? null : { start, end: start + value.length } }
}

/** The pieces between what joins or parts things. A comma within a number does not. */
function cut(text: string): Span[] {
  const joints =
    /\n|(?<!\d),|,(?!\d)|[;•|]|\s\/\s|\s[+&]\s|^\s*[-*]\s|^\s*\d{1,2}[).]\s|\s-\s|\.\s|:\s|\b(?:and|plus|(?<!\b(?:used|it|ran|works|goes|paired|pairs)\s)with|incl\.?|including|as well as)\b/gim
  const spans: Span[] = []
  let from = 0
  for (const joint of text.matchAll(joints)) {
    if (joint.index > from) spans.push({ start: from, end: joint.index })
    from = joint.index + joint[0].length
  }
  if (from < text.length) spans.push({ start: from, end: text.length })
  return spans
    .filter((span) => text.slice(span.start, span.end).trim() !== '')
    .map((span) => {
      const lead = /^\s*/.exec(text.slice(span.start, span.end))![0].length
      return { start: span.start + lead, end: span.end }
    })
}

const figure = String.raw`(\d{1,3}(?:,\d{3})+(?:\.\d{1,2})?|\d{1,6}(?:[.,]\d{1,2})?)(?![\d]|\s?(?:gb|tb|mhz|ghz|w\b|watt|mm|fps|%|x\d|h\b|hours|hrs|years?|months?|km|min|pin|fans?|cores?|mt))`
/** Ways of stating an ask, surest first. */
const askPatterns = [
  new RegExp(
    String.raw`\b(?:asking|ask|price|want(?:ing)?|selling (?:it )?for|sell for|for sale for|yours for|take|fixed price)\b[^\d\n]{0,14}` +
      figure,
    'gi',
  ),
  new RegExp(String.raw`(?:C\$|CA\$|US\$|\$|€|\bCAD|\bUSD|\bEUR|\bSEK)\s?` + figure, 'gi'),
  new RegExp(figure + String.raw`\s?(?:\$|€|CAD\b|USD\b|EUR\b|SEK\b|kr\b|dollars\b|bucks\b)`, 'gi'),
  new RegExp(figure + String.raw`\s?(?:obo|o\.?n\.?o|firm|takes it|cash)\b`, 'gi'),
]
const otherMoney =
  /\b(paid|retail\w*|new price|bought (it )?(for|at)|cost(s|ed)? (me )?|worth|originally|was|were|instead of|goes for|sells? new|new for|save|(?<!(?:incl\.?|including|free|fast|\d)\s)(?:shipping|postage|delivery)(?! (?:is )?(?:included|free))|ships?|post|courier|deposit|off)\b[^\d\n.!?]{0,14}$/i

function readPrice(text: string): ReadFact<string> | null {
  for (const pattern of askPatterns) {
    for (const match of text.matchAll(pattern)) {
      const at = match.index + match[0].indexOf(match[1]!)
      const before = text.slice(Math.max(0, match.index - 24), pattern === askPatterns[0] ? match.index : at)
      const after = text.slice(at + match[1]!.length, at + match[1]!.length + 22)
      if (
        otherMoney.test(before) ||
        /\b(was|were|paid|retail|originally)\b/i.test(match[0]) ||
        /^ ?(?:\$|CAD)? ?(?:for )?(?:the )?(shipping|postage|delivery|new\b|retail|in shops|off)/i.test(after)
      )
        continue
      return { value: plainNumber(match[1]!), span: { start: at, end: at + match[1]!.length } }
    }
  }
  return null
}

/** `1,200.00` to `1200.00`; `95,50` to `95.50`. */
function plainNumber(text: string): string {
  const grouped = text.replace(/,(?=\d{3}(?:\D|$))/g, '')
  return grouped.replace(',', '.')
}

function readCurrency(text: string, price: ReadFact<string> | null): ReadFact<string> | null {
  if (!price?.span) return null
  const from = Math.max(0, price.span.start - 6)
  const near = text.slice(from, price.span.end + 7)
  for (const [pattern, code] of currencyWords) {
    const match = pattern.exec(near)
    if (match)
      return { value: code, span: { start: from + match.index, end: from + match.index + match[0].length } }
  }
  return null
}

function readShipping(text: string, price: ReadFact<string> | null): ReadFact<string> | null {
  const free =
    /\b(free (shipping|postage|delivery)|(shipping|postage|delivery) (is )?(free|included)|incl(uding|\.)? (shipping|postage|delivery))\b/i.exec(
      text,
    )
  if (free) return { value: '0', span: { start: free.index, end: free.index + free[0].length } }
  const stated =
    /(?<!\bfast )\b(?:shipping|ships? for|postage|post(?:ed)? for|delivery|courier)\b[^\d\n.]{0,14}(\d{1,4}(?:[.,]\d{1,2})?)/i.exec(
      text,
    ) ??
    /(\d{1,4}(?:[.,]\d{1,2})?)\s?(?:\$|CAD)?\s?(?:for )?(?:the )?(?:shipping|postage|delivery)\b/i.exec(text)
  if (!stated) return null
  const start = stated.index + stated[0].indexOf(stated[1]!)
  if (start === price?.span?.start) return null
  return { value: plainNumber(stated[1]!), span: { start, end: start + stated[1]!.length } }
}

const conditionWords: readonly (readonly [RegExp, Condition])[] = [
  [
    /\b(brand new|factory sealed|still sealed|sealed|unopened|never (been )?(opened|used)(?! it up))\b/i,
    'new',
  ],
  [/\b(open(ed)? box|opened (once|only)|like new|as new|used once)\b/i, 'opened'],
  [/\brefurb\w*\b/i, 'refurbished'],
  [/\b(used|second[- ]hand|pulled|working pull)\b/i, 'used'],
]

function readCondition(text: string, damaged: boolean): ReadFact<Condition> {
  const broken =
    /\b(for parts|not working|faulty|broken|untested|not tested|dead|defective|no display|does ?n[o']?t (work|boot|post)|spares)\b/i.exec(
      text,
    )
  if (broken || damaged)
    return {
      value: 'damaged',
      span: broken ? { start: broken.index, end: broken.index + broken[0].length } : null,
    }
  for (const [pattern, condition] of conditionWords) {
    const match = pattern.exec(text)
    if (match) return { value: condition, span: { start: match.index, end: match.index + match[0].length } }
  }
  return { value: 'used', span: null }
}
