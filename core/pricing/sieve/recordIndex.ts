import { oneSlip } from '../../reading/titles/oneSlip'
import { phrase, type Phrase } from '../../reading/titles/phrase'
import { TitleScanner, TokenKind } from '../../reading/titles/titleScanner'
import type { SoldRecord } from '../../reading/sales/soldRecord'

/**
 * Finds the records that can have a query's words at all, without scanning every title. A record it leaves out
 * would be dropped with reason `missing-word`. Building is O(tokens), put off until the first look-up; a look-up costs
 * the rarest word's records.
 */
export class RecordIndex {
  private readonly postings = new Map<number, number[]>()
  /** Every different word of five letters or more, by first letter and length: where misspelt forms are looked for. */
  private readonly words = new Map<string, { readonly text: string; readonly hash: number }[]>()

  private readonly held: SoldRecord[] = []
  private indexed = 0
  private readonly scanner = new TitleScanner()

  constructor(records: readonly SoldRecord[]) {
    this.add(records)
  }

  get records(): readonly SoldRecord[] {
    return this.held
  }

  /** Takes further records in; they are indexed when somebody first looks something up. */
  add(records: readonly SoldRecord[]): void {
    for (const record of records) this.held.push(record)
  }

  private index(): void {
    const { scanner } = this
    for (; this.indexed < this.held.length; this.indexed += 1) {
      const i = this.indexed
      scanner.scan(this.held[i]!.title)
      for (let token = 0; token < scanner.count; token += 1) {
        if (scanner.kind[token]! >= TokenKind.plus) continue
        const list = this.postings.get(scanner.hash[token]!)
        if (!list) {
          this.postings.set(scanner.hash[token]!, [i])
          if (scanner.kind[token] === TokenKind.word && scanner.length(token) >= 4)
            this.noteWord(scanner.text(token), scanner.hash[token]!)
        } else if (list[list.length - 1] !== i) list.push(i)
      }
    }
  }

  private noteWord(text: string, hash: number): void {
    const key = `${text[0]!}${text.length}`
    const shelf = this.words.get(key)
    if (shelf) shelf.push({ text, hash })
    else this.words.set(key, [{ text, hash }])
  }

  /** Records that can have all of the wanted words, misspelt ones among them; all records where nothing is wanted. */
  candidates(must: readonly string[]): readonly SoldRecord[] {
    if (must.length === 0) return this.records
    this.index()
    const holders = must.map((word) => this.holders(phrase(word))).sort((a, b) => a.size - b.size)
    const [rarest, ...others] = holders
    return [...rarest!]
      .filter((index) => others.every((each) => each.has(index)))
      .sort((a, b) => a - b)
      .map((index) => this.records[index]!)
  }

  private holders(wanted: Phrase): Set<number> {
    const found = new Set<number>()
    for (const form of wanted.forms) {
      const rarest =
        form.map((hash) => this.postings.get(hash) ?? []).sort((a, b) => a.length - b.length)[0] ?? []
      for (const index of rarest) found.add(index)
    }
    for (const hash of this.misspellings(wanted.forgiving))
      for (const index of this.postings.get(hash)!) found.add(index)
    return found
  }

  private misspellings(meant: string): number[] {
    if (meant === '') return []
    return [-1, 0, 1].flatMap((by) =>
      (this.words.get(`${meant[0]!}${meant.length + by}`) ?? [])
        .filter(({ text }) => oneSlip(meant, text))
        .map(({ hash }) => hash),
    )
  }
}
