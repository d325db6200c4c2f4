/** A row of cells and the line of the text it began on. */
export interface TextRow {
  readonly cells: string[]
  readonly line: number
}

/**
 * Rows of a text of JSON: a list of objects, also one that stands in an object, or one object a line. The first row holds
 * the names of the fields; what an object in an object holds has both names, and an amount with its currency is one cell.
 * Null where the text is no such thing.
 *
 * @example jsonRows('{"title":"Quill 70","price":131}') // [{ cells: ['title', 'price'] }, { cells: ['Quill 70', '131'] }]
 */
export function jsonRows(text: string): TextRow[] | null {
  const start = text.trimStart()[0]
  if (start !== '[' && start !== '{') return null
  const objects = listOf(text) ?? linesOf(text)
  if (!objects || objects.length === 0) return null
  const names = [...new Set(objects.flatMap(({ value }) => [...value.keys()]))]
  return [
    { cells: names, line: 1 },
    ...objects.map(({ value, line }) => ({ cells: names.map((name) => value.get(name) ?? ''), line })),
  ]
}

type Fields = ReadonlyMap<string, string>

interface Placed {
  readonly value: Fields
  readonly line: number
}

function listOf(text: string): Placed[] | null {
  const list = longestList(parsed(text), 0)
  return list?.map((value, index) => ({ value: fieldsOf(value), line: index + 1 })) ?? null
}

const deepest = 4

/** The list of objects itself, or the longest that stands in an object. */
function longestList(value: unknown, depth: number): Record<string, unknown>[] | null {
  if (Array.isArray(value)) return value.length > 0 && value.every(isObject) ? value : null
  if (!isObject(value) || depth > deepest) return null
  const lists = Object.values(value).flatMap((each) => {
    const list = longestList(each, depth + 1)
    return list ? [list] : []
  })
  return lists.sort((a, b) => b.length - a.length)[0] ?? null
}

function linesOf(text: string): Placed[] | null {
  const placed: Placed[] = []
  for (const [index, raw] of text.split(/\r\n|\r|\n/).entries()) {
    if (raw.trim() === '') continue
    const value = parsed(raw.trim().replace(/,$/, ''))
    if (!isObject(value)) return null
    placed.push({ value: fieldsOf(value), line: index + 1 })
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

/** The fields of an object and of those in it. */
function fieldsOf(value: Record<string, unknown>, name = '', depth = 0): Fields {
  const fields = new Map<string, string>()
  for (const [key, each] of Object.entries(value)) {
    const own = name === '' ? key : `${name} ${key}`
    const amount = isObject(each) ? amountOf(each) : null
    if (amount !== null) fields.set(own, amount)
    else if (isObject(each) && depth < deepest)
      for (const [inner, cell] of fieldsOf(each, own, depth + 1)) fields.set(inner, cell)
    else fields.set(own, dayOf(own, each) ?? cellOf(each))
  }
  return fields
}

/** `{"value": "142.00", "currency": "USD"}`: two fields, one a figure and one a code. */
function amountOf(value: Record<string, unknown>): string | null {
  const cells = Object.values(value).map(cellOf)
  const figure = cells.find((cell) => /^-?\d+(?:[.,]\d+)?$/.test(cell))
  const code = cells.find((cell) => /^[A-Z]{3}$/.test(cell))
  return cells.length === 2 && figure !== undefined && code !== undefined ? `${figure} ${code}` : null
}

/** `"sold_at": 1792868400`: seconds or milliseconds since 1970 under the name of a time, as its day by universal time. */
function dayOf(name: string, value: unknown): string | null {
  if (typeof value !== 'number' || !/(?:at|on|time|date|day|ended|stamp)$/i.test(name)) return null
  const milliseconds = value > 1e12 ? value : value * 1000
  return milliseconds > 1e12 && milliseconds < 4e12 ? new Date(milliseconds).toISOString().slice(0, 10) : null
}

const cellOf = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' ? String(value) : ''
