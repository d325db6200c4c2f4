import type { Role } from '../../parts/part'
import { phrases } from '../../text/phrases'
import { languages } from '../words/allWords'
import {
  brokenAdjectives,
  badAtEnd,
  comparisonWords,
  machineAtEnd,
  swapAtEnd,
  thingsAround,
  compoundHeads,
  damageHeads,
  frailPieces,
  kindNames,
  likeWords,
  onlyThis,
  upgradeKits,
} from '../words/titleWords'
import { comesAlongAt } from './advertisement'
import { isDenied } from './denied'
import { HashedPhrases } from './hashedPhrases'
import { classesOf } from './lexicon'
import { hashText, TokenKind, Unit, type TitleScanner } from './titleScanner'

/**
 * What a title is by its shape, whatever the words: a comparison, a compound word that ends in another thing, something
 * `only`. They hold for words that no list has.
 */

const comparisons = new HashedPhrases(comparisonWords)
const likes = new HashedPhrases(likeWords)
const kits = new HashedPhrases(upgradeKits)
const itself = new Set(onlyThis.map(hashText))
const onlyBehind = new Set(phrases('only, seul, seule, seuls, seulement').map(hashText))
const onlyBefore = new Set(phrases('nur, endast, bara, solo, seulement').map(hashText))
const kinds = (Object.entries(kindNames) as [Role, readonly string[]][]).map(
  ([kind, names]) => [kind, new HashedPhrases(names)] as const,
)
const joins = new HashedPhrases(languages.flatMap((language) => [...language.joins, ...language.includes]))
const frail = new Set(frailPieces.map(hashText))
const bad = new Set(brokenAdjectives.map(hashText))
const putRight = new HashedPhrases(languages.flatMap((language) => language.putRight))

/** `Quill 70 vs Quill 90`, `Anvil 750 like the 650`: something is compared, or another thing sold; '' where none is. */
export function saysCompared(scanner: TitleScanner, owns: ReadonlySet<number>): string {
  const versus = comparisons.find(scanner)
  if (versus >= 0) return scanner.text(versus)
  const like = likes.find(scanner)
  // `Like Quill 70 but newer`: it opens with what it is not
  if (scanner.hash[0] === likeHash && scanner.hash[1] !== newHash && scanner.count > 2) return scanner.text(0)
  // praise stands behind the whole name; what is like it has the name behind
  for (let at = Math.max(like, 0); like >= 0 && at < scanner.count; at += 1)
    if (owns.has(scanner.hash[at]!) && isModel(scanner, at)) return scanner.text(like)
  return like >= 0 && scanner.hash[like] === equivalent ? scanner.text(like) : ''
}

/** Another model of the same line that comes first: `Quill 50 …, almost a Quill 70`; '' where none does. */
export function saysOtherOfLine(scanner: TitleScanner, owns: ReadonlySet<number>): string {
  for (let at = 0; at + 1 < scanner.count; at += 1) {
    if (scanner.kind[at] !== TokenKind.word || !owns.has(scanner.hash[at]!)) continue
    if (isModel(scanner, at + 1))
      return namesLater(scanner, at + 1, owns) ? `${scanner.text(at)} ${scanner.text(at + 1)}` : ''
  }
  return ''
}

/** Whether a model number is none of those asked for, and one of them of as many figures stands behind it. */
function namesLater(scanner: TitleScanner, at: number, owns: ReadonlySet<number>): boolean {
  if (owns.has(scanner.hash[at]!)) return false
  for (let later = at + 1; later < scanner.count; later += 1)
    if (
      isModel(scanner, later) &&
      owns.has(scanner.hash[later]!) &&
      scanner.length(later) === scanner.length(at)
    )
      return true
  return false
}

const withMachine = new Set(
  phrases('laptop, notebook, pc, computer, desktop, tower, rechner, dator').map(hashText),
)
const wasThere = new Set(
  phrases(
    'used, was, been, ran, run, runs, sat, kept, lived, tested, worked, working, works, fine, installed, fitted, spare',
  ).map(hashText),
)
const alongWords = new Set(phrases('with, plus, and, mit, avec, med, con').map(hashText))

/** `with Windows laptop`, `in mini PC`: a machine around the thing, where the words do not say it came out of one. */
export function saysWithMachine(scanner: TitleScanner, owns: ReadonlySet<number>): string {
  for (let at = 2; at < scanner.count; at += 1) {
    if (!withMachine.has(scanner.hash[at]!) || owns.has(scanner.hash[at]!)) continue
    if (isKindBehind(scanner, at + 1)) continue
    for (let back = 1; back <= 2; back += 1) {
      const isWith = alongWords.has(scanner.hash[at - back]!) || scanner.kind[at - back] === TokenKind.plus
      const isIn = scanner.hash[at - back] === inHash && !wasThere.has(scanner.hash[at - back - 1] ?? -1)
      if (isWith || isIn) return scanner.text(at)
    }
  }
  return ''
}

const isKindBehind = (scanner: TitleScanner, at: number) =>
  at < scanner.count && (classesOf(scanner.hash[at]!) !== 0 || partWords.has(scanner.hash[at]!))
const partWords = new Set(
  phrases('upgrade, build, use, gaming, games, games only, work, with, cooler, psu').map(hashText),
)
const [likeHash, newHash] = [hashText('like'), hashText('new')]
const [inHash, freeHash, equivalent] = ['in', 'free', 'equivalent'].map(hashText) as [number, number, number]

const isModel = ({ kind }: TitleScanner, at: number) =>
  kind[at] === TokenKind.number || kind[at] === TokenKind.mixed

/** Several parts sold as one to make a machine newer; '' where it is none. */
export function saysUpgradeKit(scanner: TitleScanner): string {
  const at = kits.find(scanner)
  return at < 0 ? '' : `${scanner.text(at)} ${at + 1 < scanner.count ? scanner.text(at + 1) : ''}`.trim()
}

/** A noun beside `only` that is not the thing itself: `IHS only`, `solo ventiladores`; '' where there is none. */
export function saysOnlyOther(scanner: TitleScanner, owns: ReadonlySet<number>): string {
  for (let at = 1; at < scanner.count; at += 1) {
    const hash = scanner.hash[at]!
    if (at + 1 === scanner.count && onlyBehind.has(hash) && isOther(scanner, at - 1, owns))
      return `${scanner.text(at - 1)} ${scanner.text(at)}`
    if (onlyBefore.has(hash) && at + 1 < scanner.count && isOther(scanner, at + 1, owns))
      return `${scanner.text(at)} ${scanner.text(at + 1)}`
  }
  return ''
}

const isOther = (scanner: TitleScanner, at: number, owns: ReadonlySet<number>) =>
  scanner.kind[at] === TokenKind.word &&
  scanner.length(at) > 2 &&
  !owns.has(scanner.hash[at]!) &&
  !itself.has(scanner.hash[at]!)

/** Another kind of part that opens the title, joined to the thing: `Case with Anvil 650`, `Boîtier et …`; '' where none does. */
export function saysJoinedBefore(scanner: TitleScanner, role: Role, firstOfWanted: number): string {
  // `ITX case + …`, `old PC case and …`: what the other is like stands before it
  let from = 0
  while (from < 2 && likenesses.has(scanner.hash[from]!)) from += 1
  for (const [kind, names] of kinds) {
    if (kind === role) continue
    for (const start of from === 0 ? [0] : [0, from]) {
      const end = start + names.lengthAt(scanner, start)
      if (end === start || end >= firstOfWanted) continue
      const kindAt = scanner.kind[end]
      if (kindAt === TokenKind.plus || kindAt === TokenKind.comma || joins.lengthAt(scanner, end) > 0)
        return scanner.text(start)
    }
  }
  return ''
}

/**
 * Another model named before the thing and joined to it (`Stook 640 und Quill 70`), or another kind of part joined
 * behind it (`Quill 70 och moderkort`); '' where neither is.
 *
 * @param owns words of the thing itself
 */
export function saysJoinedOther(
  scanner: TitleScanner,
  role: Role,
  owns: ReadonlySet<number>,
  firstOfWanted: number,
): string {
  for (let at = 1; at < scanner.count - 1; at += 1) {
    if (scanner.kind[at] !== TokenKind.plus && joins.lengthAt(scanner, at) === 0) continue
    const isModel = scanner.kind[at - 1] === TokenKind.number && scanner.length(at - 1) >= 2
    if (
      at < firstOfWanted &&
      at > 1 &&
      isModel &&
      isOther(scanner, at - 2, owns) &&
      scanner.length(at - 2) > 3
    )
      return `${scanner.text(at - 2)} ${scanner.text(at - 1)}`
    if (at < firstOfWanted) continue
    for (const [kind, names] of kinds) {
      // a cooler or a box (`caja`, `lada`) comes along
      const isOwn =
        kind === role || kind === 'cooler' || (kind === 'case' && boxes.has(scanner.hash[at + 1]!))
      const length = isOwn ? 0 : names.lengthAt(scanner, at + 1)
      const end = at + 1 + length
      const isSized = scanner.kind[end] === TokenKind.measure && end + 1 >= scanner.count
      if (length > 0 && (end === scanner.count || isSized || scanner.kind[end]! >= TokenKind.plus))
        return scanner.text(at + 1)
    }
    if (around.lengthAt(scanner, at + 1) > 0) return scanner.text(at + 1)
  }
  return ''
}

const around = new HashedPhrases(thingsAround)
const boxes = new Set(phrases('case, caja, lada').map(hashText))

const likenesses = new Set(
  phrases('pc, gaming, itx, matx, atx, midi, mini, old, new, small, white, black, used, spare').map(hashText),
)

/** Several sizes of memory or drives behind a part that has none: `5300 16GB 512GB`, a machine. */
export function saysSizes(scanner: TitleScanner, role: Role | undefined): string {
  // a case has none at all
  const least = role === 'case' ? 1 : 2
  if (role !== 'cpu' && role !== 'supply' && role !== 'cooler' && role !== 'case') return ''
  const sizes = new Set<string>()
  for (let at = 0; at < scanner.count; at += 1)
    if (
      scanner.kind[at] === TokenKind.measure &&
      (scanner.unit[at] === Unit.gb || scanner.unit[at] === Unit.tb)
    )
      sizes.add(scanner.text(at))
  return sizes.size >= least ? [...sizes].join(', ') : ''
}

/** `Pins krumm`, `lost one pin`, `Lüfterschaden`: damage by the shape of its words; '' where none is. */
export function saysFrail(scanner: TitleScanner): string {
  for (let at = 0; at < scanner.count; at += 1) {
    const hash = scanner.hash[at]!
    if (scanner.kind[at] !== TokenKind.word) continue
    if (scanner.length(at) >= 9 && headWord(hash, scanner, at) === 'damage' && !isDenied(scanner, at))
      return scanner.text(at)
    if (!frail.has(hash)) continue
    for (const beside of [at - 2, at - 1, at + 1, at + 2])
      if (
        beside >= 0 &&
        beside < scanner.count &&
        bad.has(scanner.hash[beside]!) &&
        !isCleared(scanner, at, beside)
      )
        return `${scanner.text(Math.min(at, beside))} ${scanner.text(Math.max(at, beside))}`
  }
  return ''
}

/** `no bent pins`, `pins never bent`, `bent pins straightened`. */
function isCleared(scanner: TitleScanner, noun: number, adjective: number): boolean {
  const [first, last] = [Math.min(noun, adjective), Math.max(noun, adjective)]
  if (isDenied(scanner, first) || isDenied(scanner, last)) return true
  for (let at = first; at <= Math.min(last + 2, scanner.count - 1); at += 1)
    if (
      scanner.kind[at] === TokenKind.comma ||
      scanner.hash[at] === freeHash ||
      putRight.lengthAt(scanner, at) > 0
    )
      return true
  return false
}

/** `Anyone selling …?`: asked, not offered. */
export const isQuestion = (title: string) => title.trimEnd().endsWith('?')

type CompoundHead = keyof typeof compoundHeads | 'damage'
const heads = Object.entries({ ...compoundHeads, damage: damageHeads }) as [CompoundHead, readonly string[]][]
const known = new Map<number, CompoundHead | null>()
/** Words kept with their answer; more are asked again. */
const mostKnown = 50_000

/** What a compound word of a title ends in that is not asked for: `Ersatzlüfter`, `Spielerechner`; null where none does. */
export function compoundIn(
  scanner: TitleScanner,
  owns: ReadonlySet<number>,
  role: Role | undefined,
): { head: keyof typeof compoundHeads; word: string } | null {
  for (let at = 0; at < scanner.count; at += 1) {
    const hash = scanner.hash[at]!
    if (scanner.kind[at] !== TokenKind.word || scanner.length(at) < 8 || owns.has(hash)) continue
    if (classesOf(hash) !== 0) continue
    const head = headWord(hash, scanner, at)
    if (
      head === null ||
      head === 'damage' ||
      (head === 'piece' && (role === 'cooler' || role === 'case' || role === 'extra'))
    )
      continue
    // `ur speldator`: where it was
    if (head === 'machine' && at > 0 && outOf.has(scanner.hash[at - 1]!)) continue
    // `inkl. Originalkarton`, `mit Zusatzlüfter, OVP`: it comes along
    if (head === 'piece' && at > 1 && withinWords.has(scanner.hash[at - 1]!)) continue
    if (head === 'piece' && at > 1 && (at + 1 < scanner.count || comesAlongAt(scanner, at, owns))) continue
    return { head, word: scanner.text(at) }
  }
  return null
}

/** `i originalkartong`: it lies in it. */
const withinWords = new Set(phrases('i, im, in').map(hashText))
const outOf = new Set(phrases('ur, fran, aus, vom, min, my, from').map(hashText))

function headWord(hash: number, scanner: TitleScanner, at: number): CompoundHead | null {
  let head = known.get(hash)
  if (head === undefined) {
    if (known.size > mostKnown) known.clear()
    known.set(hash, (head = headOf(scanner.text(at))))
  }
  return head
}

function headOf(word: string): CompoundHead | null {
  for (const [head, endings] of heads)
    if (endings.some((ending) => word.length >= ending.length + 3 && word.endsWith(ending))) return head
  return null
}

const endsAsMachine = new HashedPhrases(machineAtEnd)
const endsBad = new HashedPhrases(badAtEnd)
const byHash = hashText('por')
const endsInSwap = new HashedPhrases(swapAtEnd)
const leadsInto = new HashedPhrases(
  phrases(
    'for, from, in, out of, my, a, an, to, any, fur, aus, im, pour, dans, de, para, till, ur, fran, and, or, tested',
  ),
)

/** `Dovecote 5300 workstation`: the title ends in a machine, with nothing before it that says it is for one or out of one. */
export function endsInMachine(
  scanner: TitleScanner,
  owns: ReadonlySet<number>,
  role: Role | undefined,
): string {
  const last = scanner.count - 1
  if (last < 2 || endsAsMachine.lengthAt(scanner, last) === 0 || owns.has(scanner.hash[last]!)) return ''
  const word = scanner.text(last)
  if (role === undefined || role === 'memory' || (role === 'cooler' && word === 'tower')) return ''
  if (isDenied(scanner, last)) return ''
  for (let back = 1; back <= 5 && back <= last; back += 1)
    if (leadsInto.lengthAt(scanner, last - back) > 0) return ''
  return word
}

/** The last word says that the thing is bad; '' where it does not. */
export function endsAsBad(scanner: TitleScanner): string {
  const last = scanner.count - 1
  return last > 0 && endsBad.lengthAt(scanner, last) > 0 && !isDenied(scanner, last) ? scanner.text(last) : ''
}

/** The last word asks for something in exchange; '' where it does not, or is denied. */
export function endsInExchange(scanner: TitleScanner): string {
  const last = scanner.count - 1
  // `se vende por cambio`: why it is sold
  if (scanner.hash[last - 1] === byHash) return ''
  return last > 0 && endsInSwap.lengthAt(scanner, last) > 0 && !isDenied(scanner, last)
    ? scanner.text(last)
    : ''
}
