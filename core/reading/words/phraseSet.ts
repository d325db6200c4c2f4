import { plainText, wordsOf, type PlainWord } from '../../text/plainText'

/** Where a phrase stands among words: from `at` on, `length` words. */
export interface PhraseAt {
  readonly phrase: string
  readonly at: number
  readonly length: number
}

/** Words and groups of words of one meaning, found in a text by their longest fit. */
export class PhraseSet {
  private readonly byFirst = new Map<
    string,
    { readonly words: readonly string[]; readonly phrase: string }[]
  >()

  constructor(phrases: Iterable<string>) {
    for (const phrase of phrases) {
      const words = wordsOf(plainText(phrase)).map(({ word }) => word)
      const [first] = words
      if (first === undefined) continue
      const known = this.byFirst.get(first) ?? []
      known.push({ words, phrase })
      this.byFirst.set(first, known)
    }
    for (const list of this.byFirst.values()) list.sort((a, b) => b.words.length - a.words.length)
  }

  /** The longest phrase that begins at a word; null where none does. */
  at(words: readonly Pick<PlainWord, 'word'>[], index: number): PhraseAt | null {
    for (const each of this.byFirst.get(words[index]?.word ?? '') ?? [])
      if (each.words.every((word, offset) => words[index + offset]?.word === word))
        return { phrase: each.phrase, at: index, length: each.words.length }
    return null
  }

  /** Every phrase in a text, from left to right, none overlapping another. */
  in(words: readonly Pick<PlainWord, 'word'>[]): PhraseAt[] {
    const found: PhraseAt[] = []
    for (let index = 0; index < words.length; index += 1) {
      const phrase = this.at(words, index)
      if (!phrase) continue
      found.push(phrase)
      index += phrase.length - 1
    }
    return found
  }

  has(words: readonly Pick<PlainWord, 'word'>[]): boolean {
    return words.some((_, index) => this.at(words, index) !== null)
  }
}

/** Whether words are nothing but phrases of some sets; longest fits are tried first. */
export function areOnly(words: readonly Pick<PlainWord, 'word'>[], sets: readonly PhraseSet[]): boolean {
  for (let index = 0; index < words.length;) {
    const longest = Math.max(0, ...sets.map((set) => set.at(words, index)?.length ?? 0))
    if (longest === 0) return false
    index += longest
  }
  return true
}
