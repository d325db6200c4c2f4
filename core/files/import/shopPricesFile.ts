import { proposeColumns, type HeaderWords, type LineProblem } from '../../reading/tables/columns'
import { readCsv } from '../../reading/tables/readCsv'
import { readRows, type ReadRow } from '../../reading/tables/readRows'
import { FieldError, readCurrency, readDate, readPrice } from '../../reading/tables/readFields'

const headerWords: HeaderWords<'source' | 'part' | 'date' | 'price' | 'currency'> = {
  source: ['source', 'shop'],
  part: ['part', 'part id', 'id'],
  date: ['date', 'day'],
  price: ['price', 'amount'],
  currency: ['currency'],
}

export interface ImportedShopPrice {
  readonly sourceId: string
  readonly partId: string
  readonly date: string
  readonly price: number
  readonly currency: string
}

/** Reads a CSV of shop prices: source, part, date, price, currency; what cannot be understood is reported by line. */
export function readShopPrices(
  text: string,
  defaults: { readonly currency: string; readonly today: string; readonly sourceId?: string },
): { readonly read: ReadRow<ImportedShopPrice>[]; readonly problems: LineProblem[] } {
  const { header, rows } = readCsv(text)
  const map = proposeColumns(header, headerWords)
  return readRows(rows, (row) => {
    const cell = (field: keyof typeof map) => (map[field] === null ? '' : (row[map[field]] ?? '').trim())
    const currency = readCurrency(cell('currency'), defaults.currency)
    const date = readDate(cell('date'))
    if (date > defaults.today) throw new FieldError('date', `${date} is in the future`)
    const price = readPrice(cell('price'), currency)
    if (price <= 0) throw new FieldError('price', 'the price must be more than 0')
    return {
      sourceId: cell('source') || (defaults.sourceId ?? ''),
      partId: cell('part'),
      date,
      price,
      currency,
    }
  })
}
