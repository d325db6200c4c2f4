import { rawLine, type LineProblem } from './columns'
import { FieldError } from './readFields'

/** A row that was understood, with where it stood. */
export interface ReadRow<T> {
  readonly value: T
  readonly line: number
  readonly raw: string
}

/**
 * Reads each row of a table; one that throws a `FieldError` becomes a problem with its line number, the others go on.
 * Any other error is ours and is thrown.
 *
 * @param firstLine of the first of these rows; the header is line 1
 */
export function readRows<T>(
  rows: readonly (readonly string[])[],
  read: (row: readonly string[]) => T,
  firstLine = 2,
): { readonly read: ReadRow<T>[]; readonly problems: LineProblem[] } {
  const good: ReadRow<T>[] = []
  const problems: LineProblem[] = []
  for (const [index, row] of rows.entries()) {
    const line = index + firstLine
    try {
      good.push({ value: read(row), line, raw: rawLine(row) })
    } catch (error) {
      if (!(error instanceof FieldError)) throw error
      problems.push({ line, code: error.code, reason: error.message, raw: rawLine(row), cells: row })
    }
  }
  return { read: good, problems }
}
