import { CoreError } from '../../errors/coreError'
import { salesHeaders } from '../../reading/sales/salesHeaders'
import type { Condition, Manner, SoldRecord } from '../../reading/sales/soldRecord'
import { readCsv } from '../../reading/tables/readCsv'
import { readRows } from '../../reading/tables/readRows'
import {
  proposeColumns,
  type ColumnMap,
  type HeaderWords,
  type LineProblem,
} from '../../reading/tables/columns'
import {
  FieldError,
  readCurrency,
  readDate,
  readPrice,
  readWhole,
  readWord,
} from '../../reading/tables/readFields'

/** The columns of a file of sold records, as the screen calls them. */
export const soldRecordFieldNames = {
  id: 'sale number',
  source: 'source',
  title: 'title',
  price: 'price',
  shipping: 'shipping',
  currency: 'currency',
  soldOn: 'date',
  manner: 'sale type',
  condition: 'condition',
  quantity: 'pieces',
} as const
export type SoldRecordField = keyof typeof soldRecordFieldNames
export const soldRecordFields = Object.keys(soldRecordFieldNames) as SoldRecordField[]
export const neededSoldRecordFields: readonly SoldRecordField[] = ['title', 'price', 'soldOn']

const { bids: _bids, ...sharedHeaders } = salesHeaders
const headerWords: HeaderWords<SoldRecordField> = {
  id: ['id', 'record', 'item id', 'number', 'reference', 'ref'],
  source: ['source', 'site', 'market', 'from', 'where'],
  ...sharedHeaders,
  // in a list of one's own the total is what was paid; on a page it is that with the shipping
  price: [...sharedHeaders.price, 'total'],
}

const mannerSpellings: Readonly<Record<Manner, readonly string[]>> = {
  auction: ['bid', 'bids', 'auction sale'],
  fixed: ['fixed price', 'buy now', 'shop', 'offer'],
  local: ['local hand-over', 'pickup', 'classified', 'hand-over', 'collection'],
}
const conditionSpellings: Readonly<Record<Condition, readonly string[]>> = {
  new: ['brand new', 'sealed'],
  opened: ['open', 'open box', 'as new', 'like new'],
  refurbished: ['refurb', 'renewed', 'seller refurbished'],
  used: ['pre-owned', 'good', 'second hand', 'second-hand', 'working'],
  damaged: ['untested', 'for parts', 'broken', 'faulty', 'not working', 'damaged or untested'],
}

/** A sold record as a file states it; amounts in minor units. */
export interface ImportedRecord extends Omit<SoldRecord, 'id'> {
  readonly externalId: string
}

export interface SoldRecordDefaults {
  readonly source: string
  readonly currency: string
  readonly manner: Manner
  readonly condition: Condition
  /** Sales dated after it are refused. */
  readonly today: string
}

export interface SoldRecordsRead {
  readonly header: readonly string[]
  readonly columns: ColumnMap<SoldRecordField>
  readonly records: readonly ImportedRecord[]
  readonly problems: readonly LineProblem[]
  /** First lines as they are, for the preview. */
  readonly sample: readonly (readonly string[])[]
}

/**
 * Reads a CSV of sold records. Columns are mapped by header unless given; a line that cannot be understood becomes a
 * problem with its number and reason, the others are read. Amounts with a decimal comma, other delimiters and dates
 * with points are understood.
 *
 * @throws CoreError `no-column` where title, price or date is mapped to no column
 */
export function readSoldRecords(
  text: string,
  defaults: SoldRecordDefaults,
  columns?: ColumnMap<SoldRecordField>,
  onlyPreview = false,
): SoldRecordsRead {
  const { header, rows } = readCsv(text)
  const map = columns ?? proposeColumns(header, headerWords)
  const sample = rows.slice(0, 5)
  if (onlyPreview && neededSoldRecordFields.some((field) => map[field] === null))
    return { header, columns: map, records: [], problems: [], sample }
  const read = readerOf(onlyPreview ? sample : rows, defaults, map)
  return { header, columns: map, ...read(0), sample }
}

/**
 * The same in pieces, for whoever must let others in between: `read(from, to)` reads lines of the `total` there are.
 *
 * @example soldRecordPieces('title,price,date\nTarn 640,80.00,2026-10-01', {}).total // 1
 */
export function soldRecordPieces(
  text: string,
  defaults: SoldRecordDefaults,
  columns?: ColumnMap<SoldRecordField>,
) {
  const { header, rows } = readCsv(text)
  return {
    total: rows.length,
    read: readerOf(rows, defaults, columns ?? proposeColumns(header, headerWords)),
  }
}

function readerOf(
  rows: readonly (readonly string[])[],
  defaults: SoldRecordDefaults,
  map: ColumnMap<SoldRecordField>,
): (from: number, to?: number) => Pick<SoldRecordsRead, 'records' | 'problems'> {
  for (const field of neededSoldRecordFields) {
    if (map[field] === null)
      throw new CoreError('no-column', { column: field === 'soldOn' ? 'date' : field }, `columns.${field}`)
  }
  return (from, to) => {
    const { read, problems } = readRows(rows.slice(from, to), (row) => readLine(row, map, defaults), from + 2)
    return { records: read.map((row) => row.value), problems }
  }
}

function readLine(
  row: readonly string[],
  map: ColumnMap<SoldRecordField>,
  defaults: SoldRecordDefaults,
): ImportedRecord {
  const cell = (field: SoldRecordField) => (map[field] === null ? '' : (row[map[field]] ?? '').trim())
  const title = cell('title')
  if (title === '') throw new FieldError('title', 'no title')
  if (title.length > 500) throw new FieldError('title', 'the title is longer than 500 characters')
  const currency = readCurrency(cell('currency'), defaults.currency)
  const price = readPrice(cell('price'), currency)
  if (price <= 0) throw new FieldError('price', 'the price must be more than 0')
  const shipping = cell('shipping') === '' ? 0 : readPrice(cell('shipping'), currency)
  if (shipping < 0) throw new FieldError('shipping', 'shipping must not be negative')
  const soldOn = readDate(cell('soldOn'))
  if (soldOn > defaults.today) throw new FieldError('date', `${soldOn} is in the future`)
  const source = cell('source') || defaults.source
  return {
    source,
    externalId: cell('id') || `${soldOn}/${price}/${title}`.slice(0, 300),
    title,
    price,
    shipping,
    currency,
    soldOn,
    manner: cell('manner') === '' ? defaults.manner : readWord(cell('manner'), mannerSpellings, 'manner'),
    condition:
      cell('condition') === ''
        ? defaults.condition
        : readWord(cell('condition'), conditionSpellings, 'condition'),
    quantity: cell('quantity') === '' ? null : readWhole(cell('quantity'), 1, 'quantity'),
  }
}
