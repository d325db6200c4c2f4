/** Lower case, without accents, ligatures spelled out; as long as the original wherever no sign became two. */
export function plainText(text: string): string {
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
export function wordsOf(plain: string): PlainWord[] {
  return [...plain.matchAll(/[\p{L}\p{N}]+(?:'[\p{L}]+)*/gu)].map((match) => ({
    word: match[0].replace(/'/g, ''),
    start: match.index,
    end: match.index + match[0].length,
  }))
}
