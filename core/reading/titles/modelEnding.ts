import { modelEndings, noEndings, shortWords } from '../words/titleWords'
import { hashText, TokenKind, type TitleScanner } from './titleScanner'

const endings = new Set(modelEndings.map(hashText))
const plusHash = hashText('plus')
const harmless = new Set(noEndings.map(hashText))
const words = new Set(shortWords.map(hashText))
const capitalEndings = new Set(['es', 'le', 'se', 'he'])

/**
 * The ending that makes another model of the number at a token; '' where there is none: one to three letters with a
 * hyphen, one letter or a known word with a space.
 */
export function modelEnding(scanner: TitleScanner, at: number, title: string): string {
  const next = at + 1
  if (next >= scanner.count || scanner.kind[next] !== TokenKind.word) return ''
  const hash = scanner.hash[next]!
  if (harmless.has(hash)) return ''
  if (endings.has(hash))
    return isPlusOfMore(scanner, next) || isSizeOfCase(scanner, next) ? '' : scanner.text(next)
  const length = scanner.length(next)
  if (length > 3) return ''
  const [number, ending] = [scanner.text(at), scanner.text(next)]
  const isHyphened = title.toLowerCase().includes(`${number}-${ending}`)
  if (isHyphened) return ending
  // `5500 ES`, `70 LE`: small words of some language, but not where they alone are in capitals
  const isCapital =
    capitalEndings.has(ending) && new RegExp(`${number} ${ending.toUpperCase()}(?!\\w)`).test(title)
  if (isCapital && title !== title.toUpperCase()) return ending
  // `640 x 2` counts
  const isDrive = ending === 'm' && scanner.first[next + 1] === 2
  if (
    (words.has(hash) && ending !== 'm') ||
    isDrive ||
    (ending === 'x' && scanner.kind[next + 1] === TokenKind.number)
  )
    return ''
  if (length === 1) return new RegExp(`${number}[ -]+${ending}(?![\\w>])`, 'i').test(title) ? ending : ''
  // `70 Ti`, `120 XT`: capitals tell an ending from a small word
  const capital = new RegExp(`${number}[ -]+${ending[0]!.toUpperCase()}${ending[1]}(?![\\w-])`, 'i').exec(
    title,
  )?.[0]
  return length === 2 && capital && /[A-Z]\w$/.test(capital) && title !== title.toUpperCase() ? ending : ''
}

/** `650 plus gold`: the plus of what follows. */
const isPlusOfMore = (scanner: TitleScanner, at: number) =>
  scanner.hash[at] === plusHash && at + 1 < scanner.count && scanner.kind[at + 1] === TokenKind.word

/** `mini tower`, `micro ATX`: a size, no model. */
const isSizeOfCase = (scanner: TitleScanner, at: number) =>
  sizeHashes.has(scanner.hash[at]!) && at + 1 < scanner.count && shapeHashes.has(scanner.hash[at + 1]!)
const sizeHashes: ReadonlySet<number> = new Set(['mini', 'micro'].map(hashText))
const shapeHashes: ReadonlySet<number> = new Set(['tower', 'itx', 'atx'].map(hashText))

/** A word that makes another model of a name: `Larder Mini Plus`; '' where none follows. */
export function nameEnding(scanner: TitleScanner, at: number): string {
  const hash = scanner.hash[at + 1]
  if (at + 1 >= scanner.count || !endings.has(hash!)) return ''
  return isPlusOfMore(scanner, at + 1) || isSizeOfCase(scanner, at + 1) ? '' : scanner.text(at + 1)
}
