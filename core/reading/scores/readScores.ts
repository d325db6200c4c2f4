import Papa from 'papaparse'

/** One row of a table of scores: what it is of, and a figure for each column. */
export interface ScoreRow {
  /** Line of the paste, from 1. */
  readonly line: number
  readonly name: string
  /** One for each column; null where the cell holds no figure above zero. */
  readonly values: readonly (number | null)[]
}

export interface ScoresRead {
  /** Headings of the columns; `column 1`, … where the table has none. */
  readonly columns: readonly string[]
  readonly rows: readonly ScoreRow[]
  /** Lines that hold no name with a figure. */
  readonly notRead: readonly number[]
}

/** A table has no more lines, and none as long; what is beyond is not looked at. */
const mostLines = 50_000
const longestLine = 2000

/**
 * Reads a table of scores as it is copied: cells parted by tabs, semicolons, bars, commas or wide space, or a name with one
 * figure behind it. A first column that only counts the rows is a rank and is left out. Thousands may be parted by a space, a
 * comma or a point before exactly three figures.
 *
 * @example readScores('1\tQuill 70\t12,480\n2\tStook 640\t6,120').rows // [{ values: [12480] }, { values: [6120] }]
 */
export function readScores(text: string): ScoresRead {
  const lines = text.split(/\r?\n/, mostLines).map((line) => line.slice(0, longestLine))
  const mark = markOf(lines)
  const cells = lines.map((line) => (line.trim() === '' ? [] : cellsOf(line, mark)))
  const isRanked = ranks(cells)
  const rows: ScoreRow[] = []
  const notRead: number[] = []
  let head: readonly string[] = []
  for (const [at, own] of cells.entries()) {
    const [name = '', ...rest] = isRanked ? own.slice(1) : own
    const values = rest.map(figure)
    if (own.length === 0) continue
    if (/\p{L}/u.test(name) && values.some((value) => value !== null))
      rows.push({ line: at + 1, name: name.trim(), values })
    else if (rows.length === 0 && rest.length > 0 && head.length === 0) head = rest
    else notRead.push(at + 1)
  }
  const width = rows.reduce((most, { values }) => Math.max(most, values.length), 0)
  return {
    columns: Array.from({ length: width }, (_, at) => head[at]?.trim() || `column ${at + 1}`),
    rows: rows.map((row) => ({ ...row, values: pad(row.values, width) })),
    notRead,
  }
}

const pad = (values: readonly (number | null)[], width: number) =>
  Array.from({ length: width }, (_, at) => values[at] ?? null)

const marks = ['\t', ';', '|'] as const

/** What parts the cells; '' where a name is followed by its figures with nothing but space between. */
function markOf(lines: readonly string[]): string {
  const filled = lines.filter((line) => line.trim() !== '')
  for (const mark of marks)
    if (filled.filter((line) => line.includes(mark)).length > filled.length / 2) return mark
  // a comma parts cells only where it is no mark of thousands or decimals
  return filled.filter((line) => /\p{L}[^,]*,(?!\d{3}\b.*,?$)/u.test(line)).length > filled.length / 2
    ? ','
    : ''
}

function cellsOf(line: string, mark: string): string[] {
  if (mark === ',') return Papa.parse<string[]>(line).data[0] ?? []
  if (mark !== '')
    return line
      .replace(/^\s*\|/, '')
      .replace(/\|\s*$/, '')
      .split(mark)
      .map((cell) => cell.trim())
  // a single space parts nothing: `Quill 70 12480` has one figure, and a number in its name
  const wide = line.trim().split(/\s{2,}/)
  if (wide.length > 1) return wide
  const last = /^(?:\d+[.)]\s+)?(.*\p{L}.*?)\s+(\d[\d.,\u00a0]*(?:\s*(?:%|fps|pts|points))?)$/iu.exec(
    line.trim(),
  )
  return last ? [last[1]!, last[2]!] : [line]
}

/** Whether the first cells count the rows: 1, 2, 3. */
function ranks(cells: readonly (readonly string[])[]): boolean {
  const firsts = cells.filter((own) => own.length > 2).map(([first]) => first!.replace(/[.)#]/g, '').trim())
  const counted = firsts.filter((first) => /^\d+$/.test(first)).map(Number)
  return (
    counted.length > 1 &&
    counted.length >= firsts.length - 1 &&
    counted.every((value, at) => value === at + counted[0]!)
  )
}

function figure(cell: string): number | null {
  const plain = cell.replace(/\s*(?:%|fps|pts|points|±.*)\s*$/i, '').trim()
  if (!/^\d[\d\s\u00a0.,]*$/.test(plain)) return null
  const bare = plain
    .replace(/[\s\u00a0](?=\d{3}\b)/g, '')
    .replace(/[.,](?=\d{3}(?:\D|$))/g, '')
    .replace(',', '.')
  const value = Number(bare)
  return Number.isFinite(value) && value > 0 ? value : null
}
