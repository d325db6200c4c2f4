/** A row of cells and the line of the text it began on. */
export interface TextRow {
  readonly cells: string[]
  readonly line: number
}

/**
 * Rows of a text of JSON: a list of objects, or one object a line. The first row holds the names of the fields; null
 * where the text is no such thing.
 *
 * @example jsonRows('{"title":"Quill 70","price":131}') // [['title', 'price'], ['Quill 70', '131']]
 */
export function jsonRows(text: string): TextRow[] | null {
  const start = text.trimStart()[0]
  if (start !== '[' && start !== '{') return null
  const objects = start === '[' ? listOf(text) : linesOf(text)
  if (!objects || objects.length === 0) return null
  const names = [...new Set(objects.flatMap(({ value }) => Object.keys(value)))]
  return [
    { cells: names, line: 1 },
    ...objects.map(({ value, line }) => ({ cells: names.map((name) => cellOf(value[name])), line })),
  ]
}

interface Placed {
  readonly value: Readonly<Record<string, unknown>>
  readonly line: number
}

function listOf(text: string): Placed[] | null {
  const read = parsed(text)
  if (!Array.isArray(read) || !read.every(isObject)) return null
  return read.map((value, index) => ({ value, line: index + 1 }))
}

function linesOf(text: string): Placed[] | null {
  const placed: Placed[] = []
  for (const [index, raw] of text.split(/\r\n|\r|\n/).entries()) {
    if (raw.trim() === '') continue
    const value = parsed(raw.trim().replace(/,$/, ''))
    if (!isObject(value)) return null
    placed.push({ value, line: index + 1 })
  }
  return placed
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const cellOf = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' ? String(value) : ''
