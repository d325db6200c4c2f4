import { phrase } from './title/phrase'
import { TitleScanner, TokenKind } from './title/titleScanner'
import type { SoldRecord } from './soldRecord'

/**
 * Finds the records that can have a query's words at all, without scanning every title. A record it leaves out
 * would be dropped with reason `missing-word`. Building is O(tokens); a look-up costs the rarest word's records.
 */
export class RecordIndex {
  private readonly postings = new Map<number, number[]>()

  constructor(readonly records: readonly SoldRecord[]) {
    const scanner = new TitleScanner()
    for (let i = 0; i < records.length; i += 1) {
      scanner.scan(records[i]!.title)
      for (let token = 0; token < scanner.count; token += 1) {
        if (scanner.kind[token]! >= TokenKind.plus) continue
        const list = this.postings.get(scanner.hash[token]!)
        if (!list) this.postings.set(scanner.hash[token]!, [i])
        else if (list[list.length - 1] !== i) list.push(i)
      }
    }
  }

  /** Records with at least one token run of the rarest wanted word; all records where nothing is wanted. */
  candidates(must: readonly string[]): readonly SoldRecord[] {
    let best: readonly number[] | undefined
    for (const word of must) {
      const found = new Set<number>()
      for (const form of phrase(word).forms) {
        const rarest = form.map((hash) => this.postings.get(hash) ?? []).sort((a, b) => a.length - b.length)[0] ?? []
        for (const index of rarest) found.add(index)
      }
      if (best === undefined || found.size < best.length) best = [...found].sort((a, b) => a - b)
    }
    return best === undefined ? this.records : best.map((index) => this.records[index]!)
  }
}
