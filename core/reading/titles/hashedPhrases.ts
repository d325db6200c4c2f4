import { hashText, type TitleScanner } from './titleScanner'
import { normaliseTitle } from './normaliseTitle'

/** Phrases to be found among the hashes of a scanned title; the longest that fits at a token counts. */
export class HashedPhrases {
  private readonly byFirst = new Map<number, number[][]>()
  /** Most tokens begin no phrase: answered without a look-up. */
  private readonly bloom = new Uint8Array(1 << 14)

  constructor(phrases: Iterable<string>) {
    for (const text of phrases) {
      const [first, ...rest] = normaliseTitle(text).map(hashText)
      if (first === undefined) continue
      this.byFirst.set(first, [...(this.byFirst.get(first) ?? []), [first, ...rest]])
      this.bloom[first % 16_381] = 1
    }
    for (const list of this.byFirst.values()) list.sort((a, b) => b.length - a.length)
  }

  /** How many tokens the phrase takes that begins at a token; 0 where none does. */
  lengthAt({ hash, count }: TitleScanner, at: number): number {
    const first = hash[at]!
    if (at >= count || this.bloom[first % 16_381] === 0) return 0
    for (const phrase of this.byFirst.get(first) ?? []) {
      if (at + phrase.length > count) continue
      let fits = true
      for (let i = 1; i < phrase.length && fits; i += 1) fits = hash[at + i] === phrase[i]
      if (fits) return phrase.length
    }
    return 0
  }

  /** First token of the first phrase from a token on; −1 where there is none. */
  find(scanner: TitleScanner, from = 0): number {
    for (let at = from; at < scanner.count; at += 1) if (this.lengthAt(scanner, at) > 0) return at
    return -1
  }
}
