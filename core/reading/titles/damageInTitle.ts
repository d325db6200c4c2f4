import { phrases } from '../../text/phrases'
import { languages } from '../words/allWords'
import { isDenied } from './denied'
import { HashedPhrases } from './hashedPhrases'
import { WordClass } from './lexicon'
import type { TitleClasses } from './titleClasses'
import { hashText, type TitleScanner } from './titleScanner'

const partsHash = hashText('parts')
/** `all parts`, `pc parts`: said of the kind of thing. */
const piecesBefore = new Set(
  phrases('all, pc, computer, spare, desktop, gaming, mounting, and').map(hashText),
)
const testedHash = hashText('tested')
const freeHash = hashText('free')
const putRight = new HashedPhrases(languages.flatMap((language) => language.putRight))
/** `bent bracket straightened`: what was put right a word or two later. */
function isPutRight(scanner: TitleScanner, from: number): boolean {
  for (let at = from; at < Math.min(from + 3, scanner.count); at += 1)
    if (putRight.lengthAt(scanner, at) > 0) return true
  return false
}
const asHash = hashText('as')
const isHash = hashText('is')
const workingHashes = new Set(
  phrases(`
    working, work, boot, boots, booting, post, posting, display, signal, picture, output, tested, turn,
    start, power
  `).map(hashText),
)
const notHashes = new Set(
  ['not', 'no', 'doesnt', 'wont', 'isnt', 'never', 'stopped', 'cant', 'didnt'].map(hashText),
)
/** `no power supply`: what is not there is another thing than the one sold. */
const supplyHashes = new Set(
  phrases(`
    supply, cord, cable, adapter, brick, lead, cords, plug, connector, connectors, needed, required, input, pin,
    pins, draw
  `).map(hashText),
)

/** `slightly bent`, `dead quiet`: no damage that matters, or none at all. */
const mildBefore = new Set(phrases('slightly, leicht, legerement, ligeramente, latt').map(hashText))
const praiseBehind = new Set(phrases('quiet, silent, easy, simple').map(hashText))

/** The words by which a title says that the thing is damaged or untested; '' where it does not. */
export function saysDamaged(scanner: TitleScanner, classes: TitleClasses): string {
  for (let i = 0; i < scanner.count; i += 1) {
    const hash = scanner.hash[i]!
    if (
      classes.mask[i]! & WordClass.damage &&
      !(classes.at(i - 1) & WordClass.negation) &&
      !(classes.at(i - 2) & WordClass.negation && classes.at(i - 1) === 0) &&
      !isDenied(scanner, i) &&
      scanner.hash[i + 1] !== freeHash &&
      !mildBefore.has(scanner.hash[i - 1] ?? -1) &&
      !praiseBehind.has(scanner.hash[i + 1] ?? -1) &&
      !isPutRight(scanner, i + 1)
    ) {
      return scanner.text(i)
    }
    if (hash === partsHash) {
      if (
        (i > 0 && i + 1 === scanner.count && !piecesBefore.has(scanner.hash[i - 1]!)) ||
        classes.at(i - 1) & WordClass.forWord ||
        (i + 1 < scanner.count && classes.mask[i + 1]! & WordClass.only)
      )
        return 'for parts'
    }
    if (
      workingHashes.has(hash) &&
      i > 0 &&
      !supplyHashes.has(scanner.hash[i + 1]!) &&
      (notHashes.has(scanner.hash[i - 1]!) ||
        (i > 1 && hash !== testedHash && notHashes.has(scanner.hash[i - 2]!) && classes.at(i - 1) === 0))
    ) {
      return `${scanner.text(i - 1)} ${scanner.text(i)}`
    }
    if (
      hash === asHash &&
      scanner.hash[i + 1] === isHash &&
      i + 2 >= scanner.count &&
      scanner.hash[i - 1] === partsHash
    )
      return 'parts as is'
  }
  return ''
}
