/** Lower case, without accents, ligatures spelled out; as long as the original wherever no sign became two. */
export function plainText(text: string): string {
  if (text.length > longestKept) return toPlain(text)
  let plain = kept.get(text)
  if (plain === undefined) {
    if (kept.size >= mostKept) kept.clear()
    kept.set(text, (plain = toPlain(text)))
  }
  return plain
}

/** The readers ask for the same line again and again: the last ones are kept with their answer. */
const kept = new Map<string, string>()
const longestKept = 300
const mostKept = 2000

function toPlain(text: string): string {
  return text
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .replace(/œ/g, 'oe')
    .replace(/æ/g, 'ae')
    .replace(/ø/g, 'o')
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[’‘`´]/g, "'")
    .replace(/[\u00a0\u2007\u202f\u2009]/g, ' ')
}

/** A word of a text, plain, and where it stands in the plain text. */
export interface PlainWord {
  readonly word: string
  readonly start: number
  readonly end: number
}

/** Words and figures of a plain text, in their order; signs between them part them, apostrophes do not. */
export function wordsOf(plain: string): readonly PlainWord[] {
  if (plain.length > longestKept) return toWords(plain)
  let words = keptWords.get(plain)
  if (words === undefined) {
    if (keptWords.size >= mostKept) keptWords.clear()
    keptWords.set(plain, (words = toWords(plain)))
  }
  return words
}

const keptWords = new Map<string, readonly PlainWord[]>()

function toWords(plain: string): PlainWord[] {
  return [...plain.matchAll(/[\p{L}\p{N}]+(?:'[\p{L}]+)*/gu)].map((match) => ({
    word: match[0].replace(/'/g, ''),
    start: match.index,
    end: match.index + match[0].length,
  }))
}
