import Papa from 'papaparse'
import type { Currency } from '../../money/money'
import { jsonRows, type TextRow } from './jsonRows'
import type { SalesContext } from './saleRead'
import { byContent, checkedColumns } from './salesColumns'
import { byHeader, columnsGiven, currencyOfHeader, type Field } from './salesHeaders'

/** A table found in a text: its cells, the line each row began on, and which column holds what. */
export interface SalesTable {
  readonly rows: readonly { readonly cells: readonly string[]; readonly line: number }[]
  readonly column: ReadonlyMap<Field, number>
  /** Of its amounts, where a header says so. */
  readonly currency: Currency | null
}

/** The fields that have a column. */
export function columnsOf({ column }: SalesTable): readonly Field[] {
  return [...column.keys()]
}

const mostColumns = 60
const mostCaptions = 3

/**
 * The table in a text, with commas, semicolons, tabs, bars or wide gaps; null where it is none. A header is known by its
 * words and by what stands under it; a table without one by what its columns hold.
 */
export function tableIn(text: string, context: SalesContext): SalesTable | null {
  const clean = text.replace(/^\uFEFF/, '')
  const objects = jsonRows(clean)
  if (objects) return tableOf(objects, context)
  for (const delimiter of ['\t', ';', ',', '|']) {
    if (!clean.includes(delimiter)) continue
    const table = tableOf(rowsOf(clean, delimiter), context)
    if (table) return table
  }
  if (!isAligned(clean)) return null
  const rows = rowsOf(clean.replace(/(?<=\S) {2,}/g, '\t'), '\t')
  // without a header its lines are read one by one
  return byHeader(rows[0]!.cells).size >= 2 ? tableOf(rows, context) : null
}

/** Columns set apart by blanks: nearly every line has the same number of wide gaps. */
function isAligned(text: string): boolean {
  const gaps = text
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => line.trim().split(/ {2,}/).length)
  const [first] = gaps
  return (
    first! >= 3 && gaps.length >= 3 && gaps.filter((count) => count === first).length >= 0.8 * gaps.length
  )
}

function tableOf(all: SalesTable['rows'], context: SalesContext): SalesTable | null {
  // a line of its own above the table is its caption
  const rows = all.slice(
    Math.max(
      0,
      Math.min(
        mostCaptions,
        all.findIndex(({ cells }) => cells.length > 1),
      ),
    ),
  )
  const [first] = rows
  if (!first || first.cells.length < 2) return null
  const body = rows.slice(1)
  const named = columnsUnder(first.cells, body, context)
  if (named) return { rows: body, column: named, currency: currencyIn(first.cells, named, context) }
  const width = mostCommonWidth(rows)
  if (width < 3 || !isRegular(rows, width)) return null
  const guessed = byContent(
    rows.map(({ cells }) => cells),
    width,
    context,
  )
  return guessed === null ? null : { rows, column: guessed, currency: null }
}

/** The columns of a first row that is a header; null where it is none. */
function columnsUnder(
  header: readonly string[],
  body: SalesTable['rows'],
  context: SalesContext,
): Map<Field, number> | null {
  const named = context.columns ? columnsGiven(header, context.columns) : byHeader(header)
  const isNamed = named.has('title') && named.has('price')
  const isTable =
    body.length >= 2 && isRegular(body, header.length) && !header.some((cell) => /\d/.test(cell))
  if (context.columns || body.length === 0 || (isNamed && !isTable)) return isNamed ? named : null
  if (!isTable) return null
  const cells = body.map((row) => row.cells)
  const columns = checkedColumns(named, header, cells, context)
  return columns.has('title') && columns.has('price') ? columns : null
}

const isRegular = (rows: SalesTable['rows'], width: number) =>
  rows.filter(({ cells }) => cells.length === width).length >= Math.max(2, 0.8 * rows.length)

function currencyIn(
  header: readonly string[],
  columns: ReadonlyMap<Field, number>,
  { currency }: SalesContext,
): Currency | null {
  const at = columns.get('price')
  return at === undefined ? null : currencyOfHeader(header[at] ?? '', currency)
}

function rowsOf(text: string, delimiter: string): TextRow[] {
  const rows: TextRow[] = []
  let line = 1
  let at = 0
  Papa.parse<string[]>(text, {
    delimiter,
    step: ({ data, meta }) => {
      const cells = data.map((cell) => cell.trim())
      // the rule under the header of a table in plain text: `|---|:--|`
      const isRule = cells.every((cell) => /^:?-*:?$/.test(cell))
      if (!isRule && cells.some((cell) => cell !== ''))
        rows.push({ cells: cells.slice(0, mostColumns), line })
      line += newlinesIn(text, at, meta.cursor)
      at = meta.cursor
    },
  })
  return rows
}

function newlinesIn(text: string, from: number, to: number): number {
  return text.slice(from, to).split(/\r\n|\r|\n/).length - 1
}

function mostCommonWidth(rows: readonly { readonly cells: readonly string[] }[]): number {
  const counts = new Map<number, number>()
  for (const { cells } of rows) counts.set(cells.length, (counts.get(cells.length) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 0
}
