import { phrases } from '../../text/phrases'
import { languages } from '../words/allWords'
import {
  choiceWords,
  comesAlong,
  machineAtStart,
  partsOfMachine,
  piecesAtEnd,
  surelyMachine,
  surelyWanted,
  thingsForIt,
  figureWords,
  piecesOfCase,
  piecesOfCooler,
  piecesOfGraphics,
  piecesOfSupply,
} from '../words/titleWords'
import { ofPictures } from './attributeInTitle'
import { isDenied } from './denied'
import { HashedPhrases } from './hashedPhrases'
import type { Role } from '../../parts/part'
import { anyKind, classesOf, WordClass } from './lexicon'
import { hashText, TokenKind, type TitleScanner } from './titleScanner'

/** Questions of what an advertisement is, by the words of all languages: wanted, broken, a machine, a piece for it. */

const list = (of: (language: (typeof languages)[number]) => readonly string[]) => languages.flatMap(of)
const opensWanted = new HashedPhrases(list(({ wanted }) => wanted))
const wantedAnywhere = new HashedPhrases(surelyWanted)
/** Words that say more than that in a title: left to the older questions, which look around them. */
const ambiguousDamage = new Set(
  phrases(`
  repair, fault, bent pins, mort, morte, fails, dies, cracked, clicking, crashes, piezas, pieces
`),
)
const damaged = new HashedPhrases(
  list(({ state }) => state.damaged.filter((word) => !ambiguousDamage.has(word))),
)
const namelyBad = new HashedPhrases(
  phrases(`
  fails, dies, clicking, clicks, bent pins, bad sectors, crashes, cracked, fails memtest, bent socket pins,
  dead, coil broken
`),
)
const putRight = new HashedPhrases(list((language) => language.putRight))
const machineAnywhere = new HashedPhrases(surelyMachine)
const machineFirst = new HashedPhrases(machineAtStart)
const pieces = new HashedPhrases(thingsForIt)
const along = new HashedPhrases(comesAlong)
const onlyWord = hashText('only')
const forWords = new HashedPhrases(list(({ forThe }) => forThe))
const insideWords = new HashedPhrases(
  phrases(`
  in my, from my, from a, from an, out of, from old, from, aus, de mi, fran, dans, for, fur, pour, para,
  for my, till, in a, in, my, ur, ur min, aus dem, du, d un, de mon, de un, de una, av en
`),
)

/** The words by which somebody wants the thing or would swap for it; '' where nobody does. */
export function saysWanted(scanner: TitleScanner): string {
  const limit = Math.min(2, scanner.count)
  for (let at = 0; at < limit; at += 1) if (opensWanted.lengthAt(scanner, at) > 0) return scanner.text(at)
  const at = wantedAnywhere.find(scanner)
  if (at < 0 || isDenied(scanner, at)) return ''
  // `I want 51 for it`: the ask
  const isAsk = scanner.hash[at] === iHash && scanner.kind[at + 2] === TokenKind.number
  return isAsk && scanner.hash[at + 3] === forHash ? '' : scanner.text(at)
}

const [iHash, forHash] = [hashText('i'), hashText('for')]

/** The words by which the thing is broken or not known to work, in any of the languages; '' where none is. */
export function saysBroken(scanner: TitleScanner): string {
  for (let at = 0; at < scanner.count; at += 1) {
    const length = damaged.lengthAt(scanner, at) || namelyBad.lengthAt(scanner, at)
    if (length === 0) continue
    if (!isDenied(scanner, at) && !isPutRight(scanner, at + length))
      return Array.from({ length }, (_, offset) => scanner.text(at + offset)).join(' ')
    at += length - 1
  }
  return ''
}

/** `bent pins fixed`, `bent bracket straightened`. */
function isPutRight(scanner: TitleScanner, from: number): boolean {
  for (let at = from; at < Math.min(from + 2, scanner.count); at += 1)
    if (putRight.lengthAt(scanner, at) > 0) return true
  return nowFine.find(scanner, from) >= 0
}

/** `had issues with old drivers but works flawlessly now`: over, wherever it stands behind. */
const nowFine = new HashedPhrases(
  phrases(`
    works now, now works, working now, flawlessly now, fine now, perfectly now, solved, resolved, behoben, lost nu, resolu,
    solucionado
  `),
)

/** A whole machine that has the part in it; '' where it is none, or where the words asked for name one. */
export function saysMachine(scanner: TitleScanner, owns: ReadonlySet<number>): string {
  if (machineFirst.lengthAt(scanner, 0) > 0 && scanner.count > 2 && !owns.has(scanner.hash[0]!)) {
    const next = machineFirst.lengthAt(scanner, 0)
    if (!isCaseWord(scanner.hash[next]!)) return scanner.text(0)
  }
  for (let at = machineAnywhere.find(scanner); at >= 0; at = machineAnywhere.find(scanner, at + 1)) {
    const length = machineAnywhere.lengthAt(scanner, at)
    if (isCaseWord(scanner.hash[at + length] ?? -1)) continue
    if (Array.from({ length }, (_, i) => scanner.hash[at + i]!).some((hash) => owns.has(hash))) continue
    // `video card PC gaming`: what it is for
    const isUse = scanner.hash[at] === pcHash && usedFor.has(scanner.hash[at + 1]!)
    let inside = isUse && at > 2 && at + length === scanner.count
    for (let back = 1; back <= 5 && at - back >= 0; back += 1)
      inside ||= insideWords.lengthAt(scanner, at - back) > 0
    if (!inside) return scanner.text(at)
  }
  return ''
}

const pcHash = hashText('pc')
const usedFor = new Set(phrases('gaming, gamer').map(hashText))
const caseWords = new Set(
  phrases(`
    case, gehause, chassis, boitier, caja, memory, ram, power, psu, part, parts, cooler, fan, board, ssd,
    drive, graphics, gpu, processor, cpu, card
  `).map(hashText),
)
function isCaseWord(hash: number): boolean {
  return caseWords.has(hash)
}

const atEnd = new HashedPhrases(piecesAtEnd)
const firstPieces = new HashedPhrases([
  ...piecesAtEnd,
  ...phrases(`
    cooler, heatsink, fans, fan, ventirad, ventilador, disipador, kylare, replacement, remplacement, ersatz, recambio,
    repuesto, reservdel, pieces detachees, ersatzteil, spare part, kabel, cable, cables, cordon, kablar, lead, leads, bakplat,
    kylpasta, warmeleitpaste, warmeleitpad, warmeleitpads, pate thermique, pasta termica, copper shim, shim,
    contact frame, vram chips, vram, memory chips, gpu die, die, salvaged, kuhlkorper
  `),
])
const machineParts = new HashedPhrases(partsOfMachine)

const joinsBefore = new HashedPhrases(
  phrases(`
  with, w, mit, avec, con, med, incl, including, includes, inkl
`),
)

/** Something else that has the thing with it: `Dovecote 5300 with Gale 120`, asked for the second. */
export function saysWithIt(scanner: TitleScanner, firstOfWanted: number): string {
  for (let at = 2; at < firstOfWanted; at += 1)
    if (joinsBefore.lengthAt(scanner, at) > 0 && namesThing(scanner, at))
      return `${scanner.text(0)} ${scanner.text(1)}`
  return ''
}

/** Whether a model number or a kind of part stands before a token; praise (`fully working, with box`) does not. */
function namesThing(scanner: TitleScanner, end: number): boolean {
  for (let at = 0; at < end; at += 1) {
    const isNumber = scanner.kind[at] === TokenKind.number || scanner.kind[at] === TokenKind.mixed
    if (isNumber || classesOf(scanner.hash[at]!) & (anyKind | WordClass.machine)) return true
  }
  return false
}

/** `works with Dovecote 5300 boards`: what it goes with is not sold. */
const goesWith = new Set(
  phrases('works, compatible, runs, fits, funktioniert, kompatibel, marche').map(hashText),
)

/** `with Mullion B3 micro` behind the thing asked for: another thing with a model number of its own; '' where none is. */
export function saysWithModel(scanner: TitleScanner, owns: ReadonlySet<number>): string {
  for (let at = 1; at + 2 < scanner.count; at += 1) {
    if (joinsBefore.lengthAt(scanner, at) === 0 || goesWith.has(scanner.hash[at - 1]!)) continue
    if (isLoneModel(scanner, at + 1, owns)) return scanner.text(at + 1)
    if (scanner.kind[at + 1] !== TokenKind.word || scanner.length(at + 1) < 4) continue
    const isKnown =
      owns.has(scanner.hash[at + 1]!) ||
      classesOf(scanner.hash[at + 1]!) !== 0 ||
      figuresBehind.has(scanner.hash[at + 1]!)
    const kind = scanner.kind[at + 2]
    // `with screw 100% working`
    const isModel =
      (kind === TokenKind.number && scanner.length(at + 2) >= 2 && scanner.text(at + 2) !== '100') ||
      kind === TokenKind.mixed
    if (!isKnown && isModel && !owns.has(scanner.hash[at + 2]!)) return scanner.text(at + 1)
  }
  return ''
}

/** `w/ 5300 and 16GB`: a number of four figures or more that is no year. */
const isLoneModel = (scanner: TitleScanner, at: number, owns: ReadonlySet<number>) =>
  scanner.kind[at] === TokenKind.number &&
  scanner.length(at) >= 4 &&
  !/^(19|20)\d\d$/.test(scanner.text(at)) &&
  !owns.has(scanner.hash[at]!)

const figuresBehind = new Set(figureWords.map(hashText))

/** `Dovecote 5300 or 7300`, `5300, 5400 and 7300`: one of several models; '' where it is one. */
export function saysChoice(scanner: TitleScanner, owns: ReadonlySet<number>): string {
  for (let at = 1; at + 1 < scanner.count; at += 1) {
    const isChoice = choices.lengthAt(scanner, at) > 0
    if (!isChoice && scanner.kind[at] !== TokenKind.comma) continue
    const before = modelNumber(scanner, at - 1)
    if (!before || !owns.has(scanner.hash[at - 1]!)) continue
    for (const after of isChoice ? [1, 2, 3] : [1])
      if (at + after < scanner.count && isOtherModel(scanner, at + after, before, owns))
        return scanner.text(at + after)
  }
  return ''
}

const choices = new HashedPhrases(choiceWords)
const isModelKind = (kind: number | undefined) => kind === TokenKind.number || kind === TokenKind.mixed
const modelNumber = (scanner: TitleScanner, at: number) =>
  isModelKind(scanner.kind[at]) && !ofPictures.test(scanner.text(at)) ? scanner.text(at) : ''

function isOtherModel(scanner: TitleScanner, at: number, own: string, owns: ReadonlySet<number>): boolean {
  const other = modelNumber(scanner, at)
  return other.length >= Math.max(2, own.length - 1) && !owns.has(scanner.hash[at]!)
}

/** A piece that opens the title, and is what is sold: `Kühler Harrow Quill 70`; '' where none does. */
export function saysPieceFirst(scanner: TitleScanner, owns: ReadonlySet<number>): string {
  // `Stock cooler Dovecote 5300`: of which sort it is stands before it
  const from = ofSort.has(scanner.hash[0]!) ? 1 : 0
  const end = from + firstPieces.lengthAt(scanner, from)
  if (end === from || end >= scanner.count || owns.has(scanner.hash[from]!)) return ''
  return comesAfter.lengthAt(scanner, end) > 0 || scanner.kind[end]! >= TokenKind.plus
    ? ''
    : scanner.text(from)
}

const ofSort = new Set(
  phrases('stock, original, genuine, spare, boxed, replacement, oem, factory, standard').map(hashText),
)

/** A piece without which the thing is another: a supply's leads, a cooler's fan; '' where nothing is missing. */
export function saysIncomplete(scanner: TitleScanner, role: Role | undefined): string {
  const pieces = role === undefined ? undefined : ofRole[role]
  if (!pieces) return ''
  for (let at = 0; at < scanner.count; at += 1) {
    if (lacking.lengthAt(scanner, at) === 0) continue
    for (const after of [1, 2]) if (pieces.lengthAt(scanner, at + after) > 0) return scanner.text(at + after)
    // `cables missing`
    const isBehind = at > 0 && at + 1 === scanner.count && missing.has(scanner.hash[at]!)
    if (isBehind && pieces.lengthAt(scanner, at - 1) > 0) return scanner.text(at - 1)
  }
  return ''
}

const missing = new Set(
  phrases('missing, fehlen, fehlt, saknas, manquants, manquant, manque, faltan, falta').map(hashText),
)

const lacking = new HashedPhrases(
  phrases(`
    no, without, missing, ohne, sans, sin, utan, kein, keine, saknar, manque, fehlen, fehlt, saknas, manquants, manquant,
    faltan, falta
  `),
)
const ofRole: Readonly<Partial<Record<Role, HashedPhrases>>> = {
  supply: new HashedPhrases(piecesOfSupply),
  case: new HashedPhrases(piecesOfCase),
  cooler: new HashedPhrases(piecesOfCooler),
  graphics: new HashedPhrases(piecesOfGraphics),
}

/** A piece that ends the title, or stands before `only`, with nothing that says it comes along. */
export function saysPieceAtEnd(scanner: TitleScanner, owns: ReadonlySet<number>): string {
  for (let at = 1; at < scanner.count; at += 1) {
    const length = atEnd.lengthAt(scanner, at)
    if (length === 0 || owns.has(scanner.hash[at]!)) continue
    // `Lüfter Paar`, `fans set`: how many of them is no other thing
    const counted = trailing(scanner, at + length)
    const isLast = at + length + counted === scanner.count
    // `… screw and spacer`: the first of several decides
    const first =
      at > 2 && joined.lengthAt(scanner, at - 1) > 0 && atEnd.lengthAt(scanner, at - 2) === 1 ? at - 2 : at
    const isOnly = scanner.hash[at + length] === onlyWord
    if (isOnly || (isLast && !comesAlongAt(scanner, first, owns))) return scanner.text(at)
  }
  return ''
}

/** How many words behind a piece say only how many, which colour or how large. */
function trailing(scanner: TitleScanner, from: number): number {
  let at = from
  while (at < scanner.count && at < from + 3) {
    const kind = scanner.kind[at]!
    const isSize = kind === TokenKind.number || sizeWord.test(scanner.text(at))
    if (!isSize && setsOf.lengthAt(scanner, at) === 0) break
    at += 1
  }
  return at - from
}

const sizeWord = /^\d*(mm|cm|pin|pins|inch|zoll|v)$/
const setsOf = new HashedPhrases(
  phrases(`
    pair, set, paar, paire, par, spare, spares, ersatz, replacement, black, white, red, blue, silver, grey, gray, schwarz,
    weiss, noir, blanc, svart, vit, negro, blanco, rgb
  `),
)
const joined = new HashedPhrases(phrases('and, und, et, och, y'))

/** Whether what stands before a piece says that it comes along with the thing. */
export function comesAlongAt(scanner: TitleScanner, at: number, owns: ReadonlySet<number>): boolean {
  for (let back = 1; back <= 3 && at - back >= 0; back += 1) {
    const kind = scanner.kind[at - back]!
    if (
      kind >= TokenKind.plus ||
      kind === TokenKind.timesBefore ||
      (kind === TokenKind.number && back === 1 && !owns.has(scanner.hash[at - back]!))
    )
      return true
    if (along.lengthAt(scanner, at - back) === 1 || forWords.lengthAt(scanner, at - back) === 1) return true
  }
  return scanner.kind[at - 1] === TokenKind.word && adjectives.has(scanner.hash[at - 1]!)
}

const adjectives = new Set(
  phrases(`
    dual, triple, single, twin, two, three, quiet, silent, stock, dead, loud, one, quad, big, fixed
  `).map(hashText),
)

/**
 * Something sold for the thing: `front panel for Larder Mini`, `clips from Gale 120`; '' where the thing itself is.
 *
 * @param firstOfWanted where the first of the words asked for stands
 */
export function saysForIt(scanner: TitleScanner, firstOfWanted: number): string {
  // `Passend für Quill 90`, `Pour Quill 90`: what it is for is all that is said
  const opening = forThings.lengthAt(scanner, 0)
  if (opening > 0 && opening === firstOfWanted && usedHash !== scanner.hash[0]) return scanner.text(0)
  for (let at = firstOfWanted - 1; at >= Math.max(1, firstOfWanted - 3); at -= 1) {
    const length = forThings.lengthAt(scanner, at)
    if (length > 0 && at + length <= firstOfWanted)
      return at === 1 && isSale(scanner, 0) ? '' : usedHash === scanner.hash[at - 1] ? '' : scanner.text(0)
    if (scanner.kind[at] !== TokenKind.word || notAMake.has(scanner.hash[at]!)) return ''
  }
  return ''
}

const usedHash = hashText('used')
const forThings = new HashedPhrases([
  ...list(({ forThe }) => forThe),
  ...phrases('for, from, fits, suits, out of, aus, fran, removed from, pulled from, taken from'),
])
const notAMake = new Set(
  phrases(`
    sale, laptop, notebook, desktop, gaming, pc, server, office, work, parts, repair, socket, cpu, gpu, card,
    graphics, memory, ram, motherboard, board, computer, home, new, used, tested, working, cheap, video, only, the, my, this, our
  `).map(hashText),
)
const isSale = (scanner: TitleScanner, at: number) => saleWords.has(scanner.hash[at]!)
const saleWords = new Set(phrases('up, selling, asking, sold, available, also, price').map(hashText))

/**
 * A part sold out of a machine: named, and nothing of a machine is stated beside it; or named at once behind the
 * machine's own name: `Brigg 7020 RAM 8GB stick`.
 */
export function saysPartOfMachine(scanner: TitleScanner, owns: ReadonlySet<number>): string {
  const states = scanner.kind.subarray(0, scanner.count).includes(TokenKind.measure)
  for (let at = 1; at < scanner.count; at += 1) {
    const length = machineParts.lengthAt(scanner, at)
    if (length === 0 || owns.has(scanner.hash[at]!)) continue
    const follows = owns.has(scanner.hash[at - 1]!)
    if (follows || (!states && !comesAlongAt(scanner, at, owns))) return scanner.text(at)
  }
  return ''
}

/** A piece or help for the thing; '' where it is the thing. `owns`: hashes of the words that are asked for. */
export function saysThingForIt(scanner: TitleScanner, owns: ReadonlySet<number>): string {
  for (let at = 0; at < scanner.count; at += 1) {
    const length = pieces.lengthAt(scanner, at)
    if (length === 0 || owns.has(scanner.hash[at]!)) continue
    const isOnly = scanner.hash[at + length] === onlyWord
    const isFor = forWords.lengthAt(scanner, at + length) > 0
    const before = at > 0 ? scanner.kind[at - 1]! : -1
    const joined =
      before === TokenKind.plus ||
      before === TokenKind.comma ||
      (at > 1 && scanner.kind[at - 2] === TokenKind.plus) ||
      (at > 2 && scanner.kind[at - 3] === TokenKind.plus)
    const comes = at > 0 && along.lengthAt(scanner, at - 1) === 1
    const comesTwo = at > 1 && along.lengthAt(scanner, at - 2) === 1
    const follows = comesAfter.lengthAt(scanner, at + length) > 0
    if (isOnly || isFor || (!joined && !comes && !comesTwo && !follows)) return scanner.text(at)
    at += length - 1
  }
  return ''
}

/** `antennas included`: said behind a piece, it comes along with the thing or is missing. */
const comesAfter = new HashedPhrases(
  phrases('incl, included, includes, inkl, inklusive, missing, not included, inclus, incluido, ingar, fehlt'),
)
