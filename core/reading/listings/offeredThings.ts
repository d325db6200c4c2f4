import type { Role } from '../../parts/part'
import { plainText, wordsOf } from '../../text/plainText'
import { factsInName } from '../specs/factsInName'
import { roleNamed, roleOf } from '../specs/roleOf'
import { PhraseSet } from '../words/phraseSet'
import { surelyMachine } from '../words/titleWords'
import type { SaidAmount } from './listingMoney'
import { coming, lacking } from './listingWords'
import type { Found, OfferContext, OfferThing } from './offer'
import { belongs } from './offerMoney'

/** Said before a part that is not for sale. */
const notOffered =
  /\b(from (an?|my|the|working)|out of|came (out )?of|was in|ran (\w+ )?(with|in)|used (it )?(with|in)|upgrad\w*|replac\w*|compatible|goes with|works with|pairs|paired|similar to|better than|faster than|as fast as|instead of|looking for|trades? for|swap(s)? for|not included|no longer|sold the|keeping|would trade|i do not sell|for your|pulled from|comes from)\b/
const joints =
  /\n|(?<!\d),|,(?!\d)|[;•|!?]|\s\/\s|\s[+&]\s|(?<=\s)[-*]\s|^\s*\d{1,2}[).]\s|\s[-–—]\s|\.\s|:\s|\b(?:and|plus|und|et|och|with|mit|avec|con|med|incl\.?|including|as well as|or|oder|ou|eller)\b/gim

/** The things a text offers: parts of the library by name, others by their kind; a machine sold as one is one thing. */
export function thingsIn(text: string, said: readonly SaidAmount[], context: OfferContext): Found[] {
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
  // what comes along with it does not say what it is
  const alone = line.replace(comesAlong, '')
  const role = roleOf(alone) ?? roleOf(text.replace(line, alone))
  return [
    {
      partId: null,
      role,
      words: line.trim().slice(0, 200),
      quantity: quantityIn(plainText(line)) ?? 1,
      facts: role === null ? {} : stated(line, role),
      start: 0,
      end: text.length,
    },
  ]
}

const comesAlong = /\s(with|mit|avec|con|med|incl\.?|including|inkl\.?)\s.*$/i

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
        facts: stated(named, part.role),
        start: piece.start,
        end: piece.end,
      })
    }
  }
  if (found.length > 0) {
    const things = withoutMinor(found, text, said)
    return [...things, ...unknownThings(text, found)].sort((a, b) => a.start - b.start)
  }
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
      facts: stated(title, part.role),
      start,
      end: start + title.length,
    },
  ]
}

/** A shield or a cable that is named with the thing comes along; one with a price of its own is offered. */
function withoutMinor(found: readonly Found[], text: string, said: readonly SaidAmount[]): readonly Found[] {
  const main = found.filter(({ role }) => role !== 'extra')
  if (main.length === 0) return found
  return found.filter(
    (each) =>
      each.role !== 'extra' ||
      (lineStart(text, each.start) && said.some((price) => belongs(text, price, each))),
  )
}

const lineStart = (text: string, at: number) => /(?:^|\n)[\s*•–-]*(?:\d[).]\s)?$/.test(text.slice(0, at))

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

/** `Used it with a …`, `ran fine in my …`: what it went with is not offered. */
const usedWith =
  /\b(?:used|ran|run|runs|running|paired|goes|played|combined|works?|worked|sat|lived|tested)(?: (?:it|them|this|fine|great|well|only|mainly|perfectly|happily|together))* (?:with|in|on)\s*$/i

/** Whether the words before a piece, on its line and sentence, say that it is not offered. */
function isBarredBefore(text: string, at: number): boolean {
  const from = Math.max(text.lastIndexOf('\n', at - 1), text.lastIndexOf('. ', at - 1), 0)
  if (usedWith.test(text.slice(from, at))) return true
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
      !/\b(my|from|in a|for|out of)\b[^,.]*$/.test(plain.slice(0, wordsOf(plain)[phrase.at]!.start))
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
    facts: {},
    start: 0,
    end: text.length,
  }
}
