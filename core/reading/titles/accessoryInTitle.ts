import { phrases } from '../../text/phrases'
import { anyKind, WordClass } from './lexicon'
import { includedHash, notHash } from './notIncluded'
import type { TitleClasses, WantedClasses } from './titleClasses'
import { TokenKind, hashText, type TitleScanner } from './titleScanner'

/** Why the title offers only a piece of the thing (its box, bracket, cooler), or says the thing is not there. */
export function saysAccessory(scanner: TitleScanner, classes: TitleClasses, wanted: WantedClasses): string {
  if ((classes.all & (WordClass.accessory | WordClass.negation | anyKind)) === 0) return ''
  for (let i = 0; i < scanner.count; i += 1) {
    const mask = classes.mask[i]!
    if (mask === 0) continue
    const next = i + 1 < scanner.count ? classes.mask[i + 1]! : 0
    if (
      mask & WordClass.accessory &&
      !wanted.hashes.has(scanner.hash[i]!) &&
      !(wanted.isCooler && coolerHashes.has(scanner.hash[i]!))
    ) {
      const before = classes.at(i - 1)
      // `cooler not included`: nobody sells it
      if (before & WordClass.negation || scanner.hash[i + 1] === notHash) continue
      const comesAlong =
        (before | next) & WordClass.connector || (i > 0 && scanner.kind[i - 1] === TokenKind.plus)
      if (next & WordClass.only || before & WordClass.only) return `${scanner.text(i)} only`
      if (!comesAlong && next & WordClass.forWord && namesWanted(scanner, i + 2, wanted))
        return `${scanner.text(i)} for it`
      if (
        !comesAlong &&
        i > 0 &&
        isPieceNoun(scanner.hash[i]!) &&
        (wanted.hashes.has(scanner.hash[i - 1]!) ||
          (scanner.kind[i - 1] === TokenKind.measure && i + 1 === scanner.count))
      )
        return `its ${scanner.text(i)}`
      if (i === 0 && isPieceNoun(scanner.hash[i]!)) return scanner.text(i)
    }
    if (
      mask & WordClass.negation &&
      i + 1 < scanner.count &&
      isNegatedThing(scanner, classes, i + 1, wanted)
    ) {
      return `${scanner.text(i)} ${scanner.text(i + 1)}`
    }
    if (
      scanner.hash[i] === includedHash &&
      i > 1 &&
      scanner.hash[i - 1] === notHash &&
      saysThing(scanner, classes, i - 2)
    ) {
      return `${scanner.text(i - 2)} not included`
    }
  }
  return ''
}

const cardHashes = new Set(['card', 'gpu', 'cpu', 'chip', 'processor', 'pcb'].map(hashText))
const pieceNouns = new Set(
  phrases(`
    bracket, brackets, backplate, shroud, heatsink, cooler, waterblock, block, manual, sticker
  `).map(hashText),
)
const coolerHashes = new Set(['cooler', 'heatsink', 'fan', 'fans', 'block', 'waterblock'].map(hashText))

/** Whether one of the next words is one that the query asks for. */
function namesWanted(scanner: TitleScanner, from: number, wanted: WantedClasses): boolean {
  for (let i = from; i < scanner.count && i < from + 4; i += 1)
    if (wanted.hashes.has(scanner.hash[i]!)) return true
  return false
}

function isPieceNoun(hash: number): boolean {
  return pieceNouns.has(hash)
}

function saysThing(scanner: TitleScanner, classes: TitleClasses, i: number): boolean {
  return (
    cardHashes.has(scanner.hash[i]!) ||
    (classes.mask[i]! & (WordClass.kindGraphics | WordClass.kindCpu)) !== 0
  )
}

/** `no card`, `without gpu`; but `no cpu` on a board that never had one is told by the kind word before it. */
function isNegatedThing(
  scanner: TitleScanner,
  classes: TitleClasses,
  i: number,
  wanted: WantedClasses,
): boolean {
  // a machine is sold without a card as often as not
  if (!saysThing(scanner, classes, i) || wanted.mask & WordClass.machine) return false
  return ((classes.all | wanted.mask) & (WordClass.kindBoard | WordClass.kindCase)) === 0
}
