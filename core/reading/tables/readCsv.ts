import Papa from 'papaparse'
import { CoreError } from '../../errors/coreError'

/** A CSV as read: the header, and the rows with the number of the line each began on. */
export interface CsvTable {
  readonly header: readonly string[]
  readonly rows: readonly (readonly string[])[]
  readonly delimiter: string
}

const mostColumns = 200
/** Ten years of a busy market; what is read of them must find room in memory. */
const mostRows = 1_000_000

/**
 * Reads CSV text with any of the usual delimiters (comma, semicolon, tab, bar), found by looking.
 * Throws `empty-file`, `too-many-columns`, `too-many-rows` and `no-header` where the first line looks like data.
 */
export function readCsv(text: string, most = mostRows): CsvTable {
  if (text.trim() === '') throw new CoreError('empty-file', {})
  const firstLine = text.slice(0, text.indexOf('\n') === -1 ? undefined : text.indexOf('\n'))
  const delimiter = [',', ';', '\t', '|']
    .map((sign) => [sign, firstLine.split(sign).length] as const)
    .sort((a, b) => b[1] - a[1])[0]![0]
  if (firstLine.split(delimiter).length > mostColumns) {
    throw new CoreError('too-many-columns', { mostColumns })
  }
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimiter,
    skipEmptyLines: 'greedy',
    preview: most + 2,
  })
  if (data.length > most + 1) throw new CoreError('too-many-rows', { most })
  const header = (data[0] ?? []).map((cell) => cell.trim())
  if (header.length === 0 || header.some((cell) => /^[\d.,\s-]+$/.test(cell) && cell !== '')) {
    throw new CoreError('no-header', {})
  }
  return { header, rows: data.slice(1), delimiter }
}
