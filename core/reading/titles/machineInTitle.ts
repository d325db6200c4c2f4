import {
  barePhrases,
  machineBesideParts,
  partsOfMachine,
  piecesAtEnd,
  portableMachines,
  screenWords,
  surelyMachine,
  thingsAround,
  thingsForIt,
  wantedInside,
} from '../words/titleWords'
import { phrases } from '../../text/phrases'
import { compoundIn } from './shapes'
import { isDenied } from './denied'
import type { Verdict } from './dropReasons'
import { HashedPhrases } from './hashedPhrases'
import { classesOf, WordClass } from './lexicon'
import { hashText, TokenKind, Unit, type TitleScanner } from './titleScanner'

const machines = new HashedPhrases([...surelyMachine, ...machineBesideParts])
const portables = new HashedPhrases(portableMachines)
const around = new HashedPhrases(thingsAround)
export const screens = new HashedPhrases(screenWords)
const bare = new HashedPhrases(barePhrases)
const inside = new HashedPhrases(wantedInside)
const pieces = new HashedPhrases([
  ...thingsForIt,
  ...piecesAtEnd,
  ...partsOfMachine,
  ...phrases('parts, part, components, teile, pieces, piezas, delar'),
])
const outOf = new HashedPhrases(
  phrases(`
    from, out of, aus, for, fur, till, pour, para, de mi, fran, ur, dans mon, from my, in my, was in, pulled from, issue d
  `),
)
const small = new HashedPhrases(
  phrases('a, an, my, the, old, einem, meinem, gaming, min, mon, un, une, mi, full'),
)
const noOne: ReadonlySet<number> = new Set()

/**
 * Why a title that names the wanted words does not sell a whole machine that has them in it; null where it does. What
 * is read is the kind of the thing: whether somebody wants it, or it is broken, is asked before.
 *
 * @param owns hashes of the wanted words
 */
export function otherThanMachine(scanner: TitleScanner, owns: ReadonlySet<number>): Verdict | null {
  const portable = portables.find(scanner)
  if (portable >= 0 && scanner.hash[portable - 1] !== toHash)
    return { reason: 'wrong-variant', detail: `"${scanner.text(portable)}" is another kind` }
  const was = formerAt(scanner, owns)
  if (was >= 0) return { reason: 'wrong-variant', detail: `it had "${scanner.text(was)}" before` }
  const at = machineWord(scanner)
  if (at < 0 && sizesOf(scanner) < 2) return { reason: 'accessory', detail: 'no whole machine' }
  if (at < 0 && saysKit(scanner)) return { reason: 'lot', detail: 'parts of one, no whole machine' }
  const first = pieces.lengthAt(scanner, 0)
  const isPieceFirst = first > 0 && !owns.has(scanner.hash[0]!)
  if (isPieceFirst || followsPiece(scanner, at))
    return { reason: 'accessory', detail: `"${scanner.text(isPieceFirst ? 0 : at)}"` }
  if (bare.find(scanner) >= 0) return { reason: 'condition', detail: 'it is not whole' }
  const lacking = lackingAt(scanner)
  if (lacking >= 0) return { reason: 'condition', detail: `without "${scanner.text(lacking)}"` }
  const along = thingAround(scanner)
  if (along !== '') return { reason: 'lot', detail: `comes with "${along}"` }
  return saysSeveral(scanner) ? { reason: 'lot', detail: 'several machines' } : null
}

/**
 * Where a machine stands by its word, or by a compound that ends in one; −1 where none does, or only what it came from
 * or is for.
 */
function machineWord(scanner: TitleScanner): number {
  const at = machines.find(scanner)
  if (at >= 0) {
    let from = at
    while (from > 0 && small.lengthAt(scanner, from - 1) > 0) from -= 1
    const isOrigin = [1, 2].some((back) => from >= back && outOf.lengthAt(scanner, from - back) === back)
    return isOrigin ? -1 : at
  }
  return compoundIn(scanner, noOne, 'donor')?.head === 'machine' ? 0 : -1
}

const toHash = hashText('to')
const formerly = new HashedPhrases(
  phrases('upgraded from, instead of, better than, formerly, was, statt, ersetzt'),
)

/** `upgraded from Tarn 640`: where a wanted word stands that names what is not in it any more; −1 where none does. */
function formerAt(scanner: TitleScanner, owns: ReadonlySet<number>): number {
  for (let at = formerly.find(scanner); at >= 0; at = formerly.find(scanner, at + 1)) {
    const next = at + formerly.lengthAt(scanner, at)
    if (owns.has(scanner.hash[next] ?? -1)) return next
  }
  return -1
}

/** `gaming PC case`, `PC graphics card`: the machine's word describes the piece behind it. */
function followsPiece(scanner: TitleScanner, at: number): boolean {
  if (at < 0) return false
  const end = at + machines.lengthAt(scanner, at)
  return (
    pieces.lengthAt(scanner, end) > 0 ||
    (classesOf(scanner.hash[end] ?? -1) & (WordClass.kindGraphics | WordClass.kindCase)) !== 0
  )
}

const kitWords = new HashedPhrases(phrases('bundle, combo, kit, und, and, zusammen, set, lot'))
const saysKit = (scanner: TitleScanner) => kitWords.find(scanner) >= 0

/** How many sizes of memory and drives the title states. */
function sizesOf({ kind, unit, count }: TitleScanner): number {
  let sizes = 0
  for (let at = 0; at < count; at += 1)
    if (kind[at] === TokenKind.measure && (unit[at] === Unit.gb || unit[at] === Unit.tb)) sizes += 1
  return sizes
}

/** `no GPU`, `ohne Grafikkarte`. */
function lackingAt(scanner: TitleScanner): number {
  for (let at = inside.find(scanner, 1); at >= 0; at = inside.find(scanner, at + 1))
    if (isDenied(scanner, at)) return at
  return -1
}

/** What is sold along with it: a screen, a keyboard; '' where nothing is, or it is said not to be. */
export function thingAround(scanner: TitleScanner, things = around): string {
  for (let at = things.find(scanner); at >= 0; at = things.find(scanner, at + 1))
    if (!isDenied(scanner, at)) return scanner.text(at)
  return ''
}

function saysSeveral(scanner: TitleScanner): boolean {
  for (let at = 0; at < scanner.count; at += 1) if (classesOf(scanner.hash[at]!) & WordClass.lot) return true
  return scanner.kind[0] === TokenKind.timesBefore
}
