import { CoreError } from '../../errors/coreError'
import type { CalendarDate } from '../../time/calendarDate'
import { entryKinds, type EntryKind } from '../../ledger/ledger'
import { proposeColumns, type HeaderWords, type LineProblem } from '../../reading/tables/columns'
import { readCsv } from '../../reading/tables/readCsv'
import { FieldError, readCurrency, readDate, readPrice } from '../../reading/tables/readFields'
import { readRows, type ReadRow } from '../../reading/tables/readRows'

const headerWords: HeaderWords<'date' | 'kind' | 'what' | 'cash' | 'currency' | 'hours'> = {
  date: ['date', 'day'],
  kind: ['kind', 'type'],
  what: ['what', 'text', 'note', 'description'],
  cash: ['cash', 'amount'],
  currency: ['currency', 'cur'],
  hours: ['hours', 'time'],
}

/** An entry as a file states it; `cash` in minor units, below zero where money left. */
export interface ImportedEntry {
  readonly day: CalendarDate
  readonly kind: EntryKind
  readonly text: string
  readonly cash: number
  readonly hours: number
}

/**
 * Reads a CSV of ledger entries: date, kind, what, cash, currency, hours, as the ledger writes it. The sign of an
 * amount must be that of its kind; an entry in another currency than the ledger's is refused, since the rate of that
 * day would be a guess.
 */
export function readLedger(
  text: string,
  { currency, today }: { readonly currency: string; readonly today: CalendarDate },
): { readonly read: ReadRow<ImportedEntry>[]; readonly problems: LineProblem[] } {
  const { header, rows } = readCsv(text)
  const map = proposeColumns(header, headerWords)
  const missing = (['date', 'kind', 'what', 'cash'] as const).find((field) => map[field] === null)
  if (missing !== undefined) throw new CoreError('no-ledger-column', { column: missing }, missing)
  return readRows(rows, (row) => {
    const cell = (field: keyof typeof map) => (map[field] === null ? '' : (row[map[field]] ?? '').trim())
    const day = readDate(cell('date'))
    if (day > today) throw new FieldError('date', `${day} is in the future`)
    const kind = readKind(cell('kind'))
    const stated = readCurrency(cell('currency'), currency)
    if (stated !== currency)
      throw new FieldError('currency', `the ledger is in ${currency}, but this line is in ${stated}`)
    const cash = cell('cash') === '' ? 0 : readPrice(cell('cash'), currency)
    const hours = cell('hours') === '' ? 0 : Number(cell('hours'))
    if (!Number.isFinite(hours))
      throw new FieldError('hours', `"${cell('hours').slice(0, 20)}" is not a number of hours`)
    if (cash === 0 && hours === 0) throw new FieldError('cash', 'enter an amount or hours')
    if (cell('what') === '') throw new FieldError('what', 'description missing')
    return { day, kind, text: cell('what').slice(0, 200), cash, hours }
  })
}

function readKind(cell: string): EntryKind {
  const wanted = cell.toLowerCase()
  const kind = (Object.keys(entryKinds) as EntryKind[]).find(
    (each) => each === wanted || entryKinds[each] === wanted,
  )
  if (!kind)
    throw new FieldError(
      'kind',
      `"${cell.slice(0, 40)}" is not a kind of entry; write one of: ${Object.keys(entryKinds).join(', ')}`,
    )
  return kind
}
