import { phrases } from '../../text/phrases'
import { languages } from '../words/allWords'
import { HashedPhrases } from './hashedPhrases'
import { hashText, TokenKind, type TitleScanner } from './titleScanner'

const denies = new HashedPhrases(languages.flatMap((language) => language.denies))
const damaged = new HashedPhrases(languages.flatMap(({ state }) => state.damaged))

/** `no artefacts or crashes`, `never any issues`: denied before it, with nothing but small words and other faults between. */
export function isDenied(scanner: TitleScanner, at: number): boolean {
  for (let before = at - 1; before >= Math.max(0, at - 5); before -= 1) {
    if (denies.lengthAt(scanner, before) > 0) return true
    const isBetween = smallWords.has(scanner.hash[before]!) || damaged.lengthAt(scanner, before) > 0
    if (!isBetween && scanner.kind[before] !== TokenKind.comma) return false
  }
  return false
}

const smallWords = new Set(
  phrases(`
    any, a, of, or, nor, known, sign, signs, visible, major, single, more, obvious, real, oder, ou, o, eller, und, et,
    y, och, had, to, the, other
  `).map(hashText),
)
