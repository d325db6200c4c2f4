import { plainText } from '../../text/plainText'
import { wordsApart } from '../../text/wordsApart'

/** Which column of a file holds a field: its index, or null for "not in the file". */
export type ColumnMap<F extends string> = Readonly<Record<F, number | null>>

/** Header words by which a field is recognised, best first. */
export type HeaderWords<F extends string> = Readonly<Record<F, readonly string[]>>

/** A line of a file that was not taken, with the reason. Lines are counted from 1, the header being line 1. */
export interface LineProblem {
  readonly line: number
  readonly code: string
  readonly reason: string
  readonly raw: string
  /** The cells as they stand, to be put right. */
  readonly cells?: readonly string[]
}

/** Proposes a mapping by the header: exact words first, then words contained in it; no column is used twice. */
export function proposeColumns<F extends string>(
  header: readonly string[],
  words: HeaderWords<F>,
): ColumnMap<F> {
  const normal = header.map((cell) =>
    plainText(wordsApart(cell))
      .replace(/[^\p{L}\p{N}]+/gu, ' ')
      .trim(),
  )
  const used = new Set<number>()
  const found = {} as Record<F, number | null>
  const fields = Object.keys(words) as F[]
  for (const field of fields) found[field] = null
  for (const exact of [true, false]) {
    for (const field of fields) {
      if (found[field] !== null) continue
      const index = words[field]
        .map((word) =>
          normal.findIndex(
            (cell, i) => !used.has(i) && (exact ? cell === word : cell.split(' ').includes(word)),
          ),
        )
        .find((i) => i >= 0)
      if (index === undefined) continue
      found[field] = index
      used.add(index)
    }
  }
  return found
}

/** Raw text of a line, cut for a report. */
export function rawLine(row: readonly string[]): string {
  return row.join(' | ').slice(0, 200)
}
