import Papa from 'papaparse'
import { plainText } from '../../text/plainText'
import { makeKeys, nameKeys, readSpec, type SpecRead } from './readSpec'

const mostRows = 200
const mostColumns = 60
const priceKey = /\b(price|preis|prix|precio|pris|sold|ask|asking|verkauft|vendu)\b/

/**
 * A table of parts, with whatever headers: a column that names them, and others that are read as the lines of a
 * specification are. Null where the text is none: no header that names, a price in it, or hardly a fact in its rows.
 *
 * @example readSpecTable('Model,Type,Cores\nDovecote 5300,CPU,6') // [{ role: 'cpu', facts: { cores: { value: 6 } } }]
 */
export function readSpecTable(text: string): SpecRead[] | null {
  for (const delimiter of ['\t', ';', ',', '|']) {
    if (!text.split('\n', 1)[0]!.includes(delimiter)) continue
    const rows = Papa.parse<string[]>(text.trim(), { delimiter, skipEmptyLines: 'greedy' }).data
    const header = rows[0]!.slice(0, mostColumns).map((cell) => cell.trim())
    if (header.length < 2 || rows.length < 2 || !namesParts(header)) continue
    const read = rows.slice(1, mostRows + 1).map((cells, at) => readRow(header, cells, at + 2))
    const good = read.filter(({ name, facts }) => name !== '' && Object.keys(facts).length > 0)
    return good.length > 0 && good.length >= read.length / 2 ? read.filter(({ name }) => name !== '') : null
  }
  return null
}

function namesParts(header: readonly string[]): boolean {
  const plain = header.map((cell) =>
    plainText(cell)
      .replace(/[^a-z0-9 ]+/g, ' ')
      .trim(),
  )
  return (
    plain.some((cell) => nameKeys.test(cell) || makeKeys.test(cell)) &&
    !plain.some((cell) => priceKey.test(cell))
  )
}

/** A row as the specification it would be, a line for each column. */
function readRow(header: readonly string[], cells: readonly string[], line: number): SpecRead {
  const lines = header.flatMap((key, at) => {
    const value = (cells[at] ?? '').replace(/\s+/g, ' ').trim()
    return key === '' || value === '' ? [] : [`${key}: ${value}`]
  })
  const { facts, ...spec } = readSpec(lines.join('\n'))
  return {
    ...spec,
    facts: Object.fromEntries(
      Object.entries(facts).map(([fact, read]) => [fact, { value: read!.value, line }]),
    ) as SpecRead['facts'],
  }
}
