import type { Part, PartFacts, Role } from '../../parts/part'
import { plainText, wordsOf } from '../../text/plainText'
import type { CalendarDate } from '../../time/calendarDate'
import { findDate } from '../dates/findDate'
import { minorDigits } from '../../money/currencies'
import type { Condition } from '../sales/soldRecord'
import { statesIn, worse } from '../sales/stateOf'
import { factsInName } from '../specs/factsInName'
import { roleNamed, roleOf } from '../specs/roleOf'
import type { TitleReader } from '../titles/partsInTitle'
import { wordsFor } from '../words/allWords'
import { surelyMachine } from '../words/titleWords'
import { PhraseSet } from '../words/phraseSet'
import { amountsOf, type SaidAmount } from './listingMoney'
import {
  broken,
  coming,
  comingAfter,
  defectNames,
  defectWords,
  doubtful,
  lacking,
  lackingAfter,
  pieceNames,
  pieceWords,
  unsure,
  working,
  type DefectName,
  type PieceName,
} from './listingWords'

export type Works = 'yes' | 'no' | 'doubtful' | 'unknown'

/** A fact of a thing: stated only where the text states it. */
export interface OfferFact {
  readonly value: string | number | boolean | readonly string[]
  readonly certainty: 'stated' | 'deduced'
}

/** One thing of a listing. */
export interface OfferThing {
  readonly partId: string | null
  readonly role: Role | null
  /** The words that name it. */
  readonly words: string
  readonly quantity: number
  /** For one piece, decimal text; null where it has no price of its own. */
  readonly price: string | null
  readonly works: Works
  readonly facts: Readonly<Partial<Record<keyof PartFacts, OfferFact>>>
}

/** What a listing says, all its fields null or empty where it does not. */
export interface OfferRead {
  /** For all things together, decimal text. */
  readonly price: string | null
  readonly priceCurrency: string | null
  readonly shipping: string | null
  readonly condition: Condition | null
  readonly listedOn: CalendarDate | null
  readonly place: string | null
  readonly distanceKm: number | null
  readonly things: readonly OfferThing[]
  readonly works: Works
  readonly includes: readonly PieceName[]
  readonly lacks: readonly PieceName[]
  readonly defects: readonly DefectName[]
}

export interface OfferContext {
  readonly today: CalendarDate
  readonly currency: string
  readonly library: readonly Part[]
  readonly reader: TitleReader
}

/**
 * Reads the text of a listing: per thing what it is, how many, at what price and whether it works; of the whole the
 * price, the shipping, the state, what comes along and what is missing. Nothing is guessed: what the text does not say
 * is null.
 *
 * @example readOffer('Quill 70 8GB, works, $95', context) // one thing, 95.00 CAD, works
 */
export function readOffer(text: string, context: OfferContext): OfferRead {
  const said = amountsOf(text, context.currency, modelNumbers(context.library))
  const found = thingsIn(text, said, context)
  const isChoice = found.length > 1 && isOneOf(text, found)
  const money = priceOf(text, said, found, isChoice, context.currency)
  const works = worksOf(text)
  const shipping = shippingOf(text, said, money.currency ?? context.currency)
  const pieces = piecesOf(text, found)
  const date = listedOn(text, context.today)
  const km = /(\d{1,4}(?:[.,]\d)?)\s?km\b/.exec(plainText(text))
  return {
    price: money.price,
    priceCurrency: money.price === null && !isChoice ? null : money.currency,
    shipping,
    condition: conditionOf(text, works),
    listedOn: date,
    place: placeOf(text),
    distanceKm: km ? Number(km[1]!.replace(',', '.')) : null,
    things: found.map((thing) => ({
      partId: thing.partId,
      role: thing.role,
      words: thing.words,
      quantity: thing.quantity,
      price: money.perThing.get(thing) ?? null,
      works: thing.works ?? works,
      facts: thing.facts,
    })),
    works,
    includes: pieces.includes,
    lacks: pieces.lacks,
    defects: defectsOf(text),
  }
}

/** Figures of the names of models: `5300`, `640`. */
const numbersOf = new WeakMap<readonly Part[], ReadonlySet<string>>()
function modelNumbers(library: readonly Part[]): ReadonlySet<string> {
  let numbers = numbersOf.get(library)
  if (!numbers) {
    numbers = new Set(library.flatMap(({ name }) => name.match(/\d+/g) ?? []))
    numbersOf.set(library, numbers)
  }
  return numbers
}

interface Found {
  readonly partId: string | null
  readonly role: Role | null
  readonly words: string
  readonly quantity: number
  readonly works: Works | null
  readonly facts: OfferThing['facts']
  /** The piece of text that names it. */
  readonly start: number
  readonly end: number
}

/** Said before a part that is not for sale. */
const notOffered =
  /\b(from (an?|my|the|working)|out of|came (out )?of|was in|ran (with|in)|used (with|in|it with)|upgrad\w*|replac\w*|compatible|goes with|works with|pairs|paired|similar to|better than|faster than|as fast as|instead of|looking for|trades? for|swap(s)? for|not included|no longer|sold the|keeping|would trade|i do not sell|for your|pulled from|comes from)\b/
const joints =
  /\n|(?<!\d),|,(?!\d)|[;•|!?]|\s\/\s|\s[+&]\s|(?<=\s)[-*]\s|^\s*\d{1,2}[).]\s|\s[-–—]\s|\.\s|:\s|\b(?:and|plus|und|et|och|with|mit|avec|con|med|incl\.?|including|as well as|or|oder|ou|eller)\b/gim

function thingsIn(text: string, said: readonly SaidAmount[], context: OfferContext): Found[] {
  const machine = machineIn(text)
  const parts = partsIn(text, said, context)
  const prices = said.filter(
    (each) => each.kind === 'price' && parts.some((part) => belongs(text, each, part)),
  )
  const donor = parts.find(({ role }) => role === 'donor')
  if (donor) return [donor]
  if (machine !== null && prices.length < 2) return [machineThing(text, machine)]
  if (parts.length > 0) return parts
  const [line = ''] = text.split('\n').filter((each) => /\p{L}{3}/u.test(each))
  const role = roleOf(line) ?? roleOf(text)
  return [
    {
      partId: null,
      role,
      words: line.trim().slice(0, 200),
      quantity: quantityIn(plainText(line)) ?? 1,
      works: null,
      facts: role === null ? {} : stated(line, role),
      start: 0,
      end: text.length,
    },
  ]
}

function partsIn(text: string, said: readonly SaidAmount[], { library, reader }: OfferContext): Found[] {
  const byId = new Map(library.map((part) => [part.id, part]))
  const found: Found[] = []
  for (const piece of piecesBetween(text)) {
    // what it costs stands behind its name
    const amount = said.find(({ start }) => start > piece.start && start < piece.end)
    const raw = text
      .slice(piece.start, amount?.start ?? piece.end)
      .replace(/\b(for|at|je|fur|für|pour|por|@)\s*$/i, '')
    const plain = plainText(raw)
    const barred = notOffered.exec(plain)
    // what somebody wants for it, or took it out of, is not offered
    if (barred && isBarredBefore(text, piece.start)) continue
    const named = (barred ? raw.slice(0, barred.index) : raw).trim()
    if (!/\d|\p{L}{3}/u.test(named) || isBarredBefore(text, piece.start)) continue
    const match = reader.read(named.replace(leadingCount, ''))
    // a machine named with what is in it
    const machines = match.partIds.filter((id) => byId.get(id)!.role === 'donor')
    const meant = match.kind === 'unclear' && machines.length === 1 ? machines : match.partIds
    if (match.kind !== 'single' && match.kind !== 'lot' && meant !== machines) continue
    for (const partId of meant) {
      const part = byId.get(partId)!
      if (found.some((each) => each.partId === partId)) continue
      found.push({
        partId,
        role: part.role,
        words: named.slice(0, 200),
        quantity: quantityIn(plain) ?? quantityIn(plainText(lineAround(text, piece.start))) ?? 1,
        works: null,
        facts: stated(named, part.role),
        start: piece.start,
        end: piece.end,
      })
    }
  }
  if (found.length > 0) return [...found, ...unknownThings(text, found)].sort((a, b) => a.start - b.start)
  const title = text.split('\n').find((each) => /\p{L}{3}/u.test(each)) ?? ''
  const whole = reader.read(title.replace(notOfferedTail, ''))
  if (whole.kind !== 'single') return []
  const part = byId.get(whole.partIds[0]!)!
  const start = text.indexOf(title)
  return [
    {
      partId: part.id,
      role: part.role,
      words: title.trim().slice(0, 200),
      quantity: quantityIn(plainText(title)) ?? 1,
      works: null,
      facts: stated(title, part.role),
      start,
      end: start + title.length,
    },
  ]
}

/** Things beside those of the library: a piece that names another kind of part, with a figure or an article before it. */
function unknownThings(text: string, found: readonly Found[]): Found[] {
  const roles = new Set(found.map(({ role }) => role))
  const things: Found[] = []
  for (const { start, end } of piecesBetween(text)) {
    if (found.some((each) => start < each.end && end > each.start)) continue
    const raw = text.slice(start, end).trim()
    const plain = plainText(raw)
    if (lacking.test(plain) || notOffered.test(plain) || isBarredBefore(text, start)) continue
    if (wordsOf(plain).length > 8 || !/\d|^(also )?(an?|ein|eine|une?|una?|en|ett)\b/.test(plain)) continue
    const role = roleNamed(raw)
    if (role === null || role === 'extra' || role === 'cooler' || role === 'donor' || roles.has(role))
      continue
    if (coming.test(plainText(text.slice(Math.max(0, start - 8), start)))) continue
    roles.add(role)
    things.push({
      partId: null,
      role,
      words: raw.slice(0, 200),
      quantity: quantityIn(plain) ?? 1,
      works: null,
      facts: stated(raw, role),
      start,
      end,
    })
  }
  return things
}

const leadingCount =
  /^\W*(?:(?:\d{1,2}\s?(?:x|×|st\b|stück\b|stk\b|pcs\b)|two|three|four|zwei|drei|deux|trois|dos|tres|två|tre)\s+)/i
const notOfferedTail = /\b(would trade|looking for|from a working|upgraded to)\b.*$/i

/** Whether the words before a piece, on its line and sentence, say that it is not offered. */
function isBarredBefore(text: string, at: number): boolean {
  const from = Math.max(text.lastIndexOf('\n', at - 1), text.lastIndexOf('. ', at - 1), 0)
  return /\b(would trade for|trade for|looking for|upgraded to|replaced by|swap for|from a working|from my|out of|in my|bought a|got a|moved to)\b[^.\n]*$/i.test(
    text.slice(from, at),
  )
}

interface Span {
  readonly start: number
  readonly end: number
}

function piecesBetween(text: string): Span[] {
  const spans: Span[] = []
  let from = 0
  for (const joint of text.matchAll(joints)) {
    if (joint.index > from) spans.push({ start: from, end: joint.index })
    from = joint.index + joint[0].length
  }
  if (from < text.length) spans.push({ start: from, end: text.length })
  return spans.filter((span) => text.slice(span.start, span.end).trim() !== '')
}

function lineAround(text: string, at: number): string {
  const start = text.lastIndexOf('\n', Math.max(0, at - 1)) + 1
  const end = text.indexOf('\n', at)
  return text.slice(start, end < 0 ? undefined : end)
}

const countWords: Readonly<Record<string, number>> = {
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  pair: 2,
  zwei: 2,
  drei: 3,
  vier: 4,
  deux: 2,
  trois: 3,
  quatre: 4,
  dos: 2,
  tres: 3,
  tva: 2,
  tre: 3,
  fyra: 4,
}

/** How many of a thing a text says: `2x`, `3 x …`, `two`, `2 Stück`, `I have 2`; not the modules of a kit. */
function quantityIn(plain: string): number | null {
  const match =
    /^\W*(\d{1,2})\s?(?:x|×|st\b|stuck\b|stk\b|pcs\b|pieces\b|units\b)\s*(?!\s?\d+\s?(?:gb|go|g\b))\s?\p{L}/u.exec(
      plain,
    ) ??
    /\b(?:i have|have|habe|selling|verkaufe|vends|vendo|saljer)\s+(\d{1,2})\b(?!\s?(?:gb|tb|w\b|years|hours|of the))/.exec(
      plain,
    ) ??
    /(?:^|\s)x\s(\d{1,2})\s*$/.exec(plain)
  if (match) return Number(match[1]) >= 2 && Number(match[1]) <= 32 ? Number(match[1]) : null
  const word = /^\W*(two|three|four|five|six|zwei|drei|vier|deux|trois|dos|tres|tva|tre|fyra)\b/.exec(
    plain,
  )?.[1]
  return word === undefined ? null : countWords[word]!
}

function stated(text: string, role: Role): OfferThing['facts'] {
  return Object.fromEntries(
    Object.entries(factsInName(text, role)).map(([fact, value]) => [
      fact,
      { value, certainty: 'stated' as const },
    ]),
  ) as OfferThing['facts']
}

const machineWords = new PhraseSet([
  ...surelyMachine,
  'gaming rig',
  'custom desktop',
  'desktop',
  'office tower',
  'tower pc',
  'speldator',
  'komplettrechner',
  'gaming computer',
  'pc gamer',
  'rig for sale',
])
const notMachine =
  /\b(desktop (memory|ram|module)|pc case|computer case|tower cooler|gaming pc (case|parts)|from (a|my) (pc|desktop|gaming))\b/

/** Where a whole machine is named in the first lines, or `… tower` with parts listed as what is in it. */
function machineIn(text: string): string | null {
  const [first = '', second = ''] = text.split('\n').filter((line) => line.trim() !== '')
  for (const line of [first, second]) {
    const plain = plainText(line)
    if (notMachine.test(plain)) continue
    const [phrase] = machineWords.in(wordsOf(plain))
    if (
      phrase &&
      !/\b(my|from|in a|for a|out of)\b[^,.]*$/.test(plain.slice(0, wordsOf(plain)[phrase.at]!.start))
    )
      return line
    if (/\btower\b.*\b(core|gb|ram)\b/.test(plain)) return line
  }
  return null
}

/** A machine sold as one is one thing, with what is said of it. */
function machineThing(text: string, line: string): Found {
  return {
    partId: null,
    role: 'donor',
    words: line.trim().slice(0, 200),
    quantity: 1,
    works: null,
    facts: {},
    start: 0,
    end: text.length,
  }
}

/** Whether an amount stands on the line of a thing, behind it and before the next. */
function belongs(text: string, { start }: SaidAmount, thing: Pick<Found, 'start'>): boolean {
  const lineEnd = text.indexOf('\n', thing.start)
  return start >= thing.start && start < (lineEnd < 0 ? text.length : lineEnd)
}

/** `Quill 70 or Stook 640, you choose`: one of several. */
function isOneOf(text: string, found: readonly Found[]): boolean {
  const plain = plainText(text)
  const [first, second] = [found[0]!, found[1]!]
  const between = plain.slice(Math.min(first.end, second.start), second.start)
  return /\b(or|oder|ou|eller)\b/.test(plain.slice(first.start, second.end)) &&
    /\b(or|oder|ou|eller)\b|^\s*$/.test(between) &&
    !/\b(and|und|et|och|both)\b/.test(between)
    ? true
    : /\b(only one of them|you choose|choose one|pick one|either)\b/.test(plain)
}

interface Money {
  readonly price: string | null
  readonly currency: string | null
  readonly perThing: ReadonlyMap<Found, string>
}

const together =
  /\b(for (everything|all|both|the (lot|set|pair|bundle))|together|takes (both|all|everything)|all together|zusammen|ensemble|tillsammans|in total|altogether)\b/

function priceOf(
  text: string,
  said: readonly SaidAmount[],
  found: readonly Found[],
  isChoice: boolean,
  home: string,
): Money {
  const prices = said
    .filter((each) => each.kind === 'price' || each.kind === 'each')
    .filter((each) => !isConditional(text, each))
  const perThing = new Map<Found, string>()
  const each = prices.find((price) => price.kind === 'each')
  const currency = (each ?? prices[0])?.currency ?? null
  const [only] = found
  if (each && found.length === 1 && each.amount.value !== null) {
    perThing.set(only!, each.amount.value)
    return { price: times(each.amount.value, only!.quantity, each.currency ?? home), currency, perThing }
  }
  const whole = prices.find(({ end }) => together.test(plainText(text).slice(end, end + 24)))
  if (found.length > 1 && !whole) {
    for (const thing of found) {
      const own = prices
        .filter((price) => belongs(text, price, thing))
        .find((price) => isNearest(price, thing, found))
      if (own?.amount.value) perThing.set(thing, own.amount.value)
    }
    if (perThing.size >= 2 && perThing.size === found.length)
      return {
        price: isChoice
          ? null
          : sum(
              [...perThing].map(([thing, value]) => times(value, thing.quantity, currency ?? home)),
              currency!,
            ),
        currency,
        perThing,
      }
    perThing.clear()
  }
  if (isChoice) return { price: null, currency, perThing }
  const best = whole ?? mostSure(prices)
  return { price: best?.amount.value ?? null, currency: best?.currency ?? null, perThing }
}

/** Of several amounts the one surest to be the price; of as sure ones the first, unless one was before and one is now. */
function mostSure(prices: readonly SaidAmount[]): SaidAmount | undefined {
  const most = Math.max(0, ...prices.map((price) => price.sure))
  return prices.find((price) => price.sure === most)
}

/** The thing that stands closest before an amount is the one it is for. */
function isNearest(price: SaidAmount, thing: Found, found: readonly Found[]): boolean {
  const before = found.filter((each) => each.start <= price.start)
  return (
    before.reduce<Found | null>(
      (last, each) => (last === null || each.start > last.start ? each : last),
      null,
    ) === thing
  )
}

/** `if you take both I make it 120`, `10 off if …`: not the price. */
function isConditional(text: string, { start, end }: SaidAmount): boolean {
  const plain = plainText(text)
  const from = Math.max(plain.lastIndexOf('\n', start), plain.lastIndexOf('. ', start), 0)
  const line = plain.slice(from, plain.indexOf('\n', end) < 0 ? undefined : plain.indexOf('\n', end))
  return /\bif (you|both|taken)\b|\bwenn\b.*\bnimm|\bsi (vous|tu) pren|\bom du tar/.test(line)
}

function times(value: string, count: number, currency: string): string {
  return toText(Math.round(Number(value) * count * 10 ** minorDigits(currency)), currency)
}

function sum(values: readonly string[], currency: string): string {
  const unit = 10 ** minorDigits(currency)
  return toText(
    values.reduce((total, value) => total + Math.round(Number(value) * unit), 0),
    currency,
  )
}

function toText(minor: number, currency: string): string {
  const places = minorDigits(currency)
  return (minor / 10 ** places).toFixed(places)
}

function shippingOf(text: string, said: readonly SaidAmount[], currency: string): string | null {
  const words = wordsOf(plainText(text))
  if (wordsFor('freeShipping').has(words) || /\bshipped\b(?! (in|with))/.test(plainText(text)))
    return toText(0, currency)
  return said.find((each) => each.kind === 'shipping')?.amount.value ?? null
}

/** Works, does not, or is not sure to; what is denied or doubtful does not count as working. */
export function worksOf(text: string): Works {
  const plain = plainText(text)
  if (unsure.test(plain))
    return broken.test(plain.replace(unsure, '')) && !/for parts/.test(plain) ? 'no' : 'unknown'
  const isBroken = brokenIn(plain)
  if (isBroken && !/\b(works?|funktioniert|fungerar)\b.*\bbut\b/.test(plain)) return 'no'
  if (doubtful.test(plain)) return 'doubtful'
  return working.test(
    plain
      .replace(/\b(not|no|does ?n[o']t|never) (work\w*|tested)/g, '')
      .replace(/\b(from|out of) (a |an |my )?working\b/g, ''),
  )
    ? 'yes'
    : isBroken
      ? 'no'
      : 'unknown'
}

/** A word of damage that is not denied, and was not put right. */
function brokenIn(plain: string): boolean {
  for (const match of plain.matchAll(new RegExp(broken.source, 'g'))) {
    const before = plain.slice(Math.max(0, match.index - 16), match.index)
    if (!/\b(no|not|never|nothing|kein\w*|ohne|sans|utan|inga)\s+(\w+\s+)?$/.test(before)) return true
  }
  return false
}

function conditionOf(text: string, works: Works): Condition | null {
  const plain = plainText(text)
  const words = wordsOf(plain)
  const said = statesIn(words).filter(({ condition, at }) => condition !== 'new' || isOfThing(words, at))
  const damage = said.some(({ condition }) => condition === 'damaged')
  if (
    works === 'no' ||
    unsure.test(plain) ||
    (damage && works !== 'yes') ||
    (/\b(crack(ed)?|for parts|as is)\b/.test(plain) && !/\bno crack/.test(plain))
  )
    return 'damaged'
  if (works === 'doubtful' && /must hit|have to hit|crash/.test(plain)) return 'damaged'
  const rest = said.filter(({ condition }) => condition !== 'damaged')
  const sure =
    rest.find(({ condition }) => condition !== 'used' && condition !== 'new') ??
    rest.find(({ condition }) => condition === 'new' && sealedWords.test(plain))
  if (sure) return sure.condition
  const worst = rest.reduce<Condition | null>((found, each) => worse(found, each.condition), null)
  return worst ?? (works === 'yes' || works === 'doubtful' ? 'used' : null)
}

const sealedWords =
  /\b(sealed|brand new|never (used|opened|installed)|unopened|versiegelt|originalverpackt|neu\b|neuf|scelle|precintad|nuevo|oanvand|obruten|bnib|unused)/

/** `new price`, `new thermal paste`, `a new card`: said of another thing. */
function isOfThing(words: readonly { readonly word: string }[], at: number): boolean {
  const next = words[at + 1]?.word ?? ''
  const before = words[at - 1]?.word ?? ''
  return (
    !/^(price|thermal|paste|one|card|build|for|preis|\d+)$/.test(next) &&
    !/^(a|the|bought|for|was|is|cost|costs|paid|\d+)$/.test(before)
  )
}

function piecesOf(text: string, found: readonly Found[]): { includes: PieceName[]; lacks: PieceName[] } {
  const plain = plainText(text)
  const includes: PieceName[] = []
  const lacks: PieceName[] = []
  const roles = new Set(found.map(({ role }) => role))
  for (const name of pieceNames) {
    if (isOwnKind(name, roles)) continue
    for (const match of plain.matchAll(new RegExp(pieceWords[name].source, 'g'))) {
      const from =
        Math.max(
          plain.lastIndexOf('. ', match.index),
          plain.lastIndexOf('\n', match.index),
          plain.lastIndexOf(',', match.index),
          plain.lastIndexOf(';', match.index),
        ) + 1
      const before = plain.slice(from, match.index)
      const after = plain.slice(match.index + match[0].length, match.index + match[0].length + 30)
      if (lackingAfter.test(after) || isLast(lacking, before)) {
        if (!lacks.includes(name)) lacks.push(name)
      } else if (
        comingAfter.test(after) ||
        isLast(coming, before) ||
        /\bare there\b/.test(plain.slice(match.index, match.index + 50))
      ) {
        if (!includes.includes(name)) includes.push(name)
      } else continue
      break
    }
  }
  return { includes, lacks }
}

/** A thing's own kind is what is sold, not what comes along: the drive of a drive, the cables of a cable. */
function isOwnKind(name: PieceName, roles: ReadonlySet<Role | null>): boolean {
  if (name === 'drive') return roles.has('storage') || !roles.has('donor')
  if (name === 'cooler') return roles.has('cooler') && roles.size === 1
  if (name === 'panel') return !roles.has('case')
  return false
}

/** Whether a pattern is the last thing said before, or a word or two earlier. */
function isLast(pattern: RegExp, before: string): boolean {
  const all = [...before.matchAll(new RegExp(pattern.source, 'g'))]
  const last = all.at(-1)
  return last !== undefined && wordsOf(before.slice(last.index + last[0].length)).length <= 4
}

function defectsOf(text: string): DefectName[] {
  const plain = plainText(text)
  const found = defectNames.filter((name) => {
    for (const match of plain.matchAll(new RegExp(defectWords[name].source, 'g'))) {
      const before = plain.slice(Math.max(0, match.index - 14), match.index)
      const after = plain.slice(match.index + match[0].length, match.index + match[0].length + 14)
      if (
        /\b(no|not|never|zero|without|kein\w*|sans|ohne|utan|inga)\s+(\w+\s+)?$/.test(before) &&
        name !== 'no-start'
      )
        continue
      if (/^\s*(were |was |now )?(fixed|repaired|straightened|replaced)/.test(after)) continue
      return true
    }
    return false
  })
  return found.length > 1
    ? found.filter((name) => name !== 'other')
    : found.filter((name) => name !== 'other' || !/\b(for parts|defekt|hs\b|dead|trasig)/.test(plain))
}

function listedOn(text: string, today: CalendarDate): CalendarDate | null {
  for (const line of text.split(/[\n.]/)) {
    if (
      !/\b(listed|posted|eingestellt|publie|inlagd|publicado|ago|vor \d|il y a|hace|sedan)\b/i.test(
        plainText(line),
      )
    )
      continue
    const date = findDate(line, { today })
    if (date?.date) return date.date
  }
  return null
}

const placeBefore =
  /\b(?:pick ?up in|pickup (?:only )?in|located in|collected from|collect(?:ion)? (?:in|from)|hamtas i|abholung in|in der nahe von|a retirer a|recogida en|away,|from)\s+([A-ZÅÄÖÉ][\p{L}-]+(?: [A-Z][\p{L}-]+)?)/u
/** A place that is said, or a line that is nothing but a name. */
function placeOf(text: string): string | null {
  const said = placeBefore.exec(text)
  if (said) return said[1]!
  const lines = text.split('\n').map((line) => line.trim())
  return lines.slice(1).find((line) => /^[A-Z][\p{L}-]{3,20}$/u.test(line)) ?? null
}
