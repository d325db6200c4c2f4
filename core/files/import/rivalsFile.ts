import { CoreError } from '../../errors/coreError'
import { proposeColumns, type HeaderWords, type LineProblem } from '../../reading/tables/columns'
import { readCsv } from '../../reading/tables/readCsv'
import { FieldError, readCurrency, readPrice, readWord } from '../../reading/tables/readFields'
import { readRows, type ReadRow } from '../../reading/tables/readRows'
import { toDecimal } from '../../money/decimal'

const headerWords: HeaderWords<
  | 'name'
  | 'kind'
  | 'price'
  | 'currency'
  | 'tax'
  | 'delivery'
  | 'cpu'
  | 'graphics'
  | 'memory'
  | 'modules'
  | 'speed'
  | 'drive'
  | 'supply'
  | 'make'
  | 'warranty'
  | 'url'
  | 'note'
> = {
  name: ['name', 'machine', 'title'],
  kind: ['kind'],
  price: ['price', 'ask'],
  currency: ['currency'],
  tax: ['tax', 'tax percent'],
  delivery: ['delivery', 'shipping'],
  cpu: ['cpu'],
  graphics: ['graphics', 'card', 'gpu'],
  memory: ['memory', 'memory gb'],
  modules: ['modules'],
  speed: ['speed', 'memory speed'],
  drive: ['drive', 'storage', 'drive gb'],
  supply: ['supply', 'watts'],
  make: ['supply make', 'make'],
  warranty: ['warranty', 'warranty months'],
  url: ['url', 'link'],
  note: ['note'],
}

/** A line of a CSV of rivals: CPU and card by id or name, to be looked up by the caller. An empty cell is "not stated". */
export interface ImportedRival {
  readonly name: string
  readonly kind: 'prebuilt' | 'console' | 'configured' | 'offered' | 'own'
  readonly price: string
  readonly currency: string
  readonly taxPercent: number
  readonly shipping: string
  readonly shippingStated: boolean
  readonly cpu: string
  readonly graphics: string
  readonly parts: {
    readonly memoryGb: number | null
    readonly memoryModules: number | null
    readonly memoryMts: number | null
    readonly storageGb: number | null
    readonly supplyW: number | null
    readonly supplyMake: string | null
  }
  readonly warrantyMonths: number | null
  readonly url: string
  readonly note: string
}

/**
 * Reads a CSV of rivals, in `home` where a line says no currency; what cannot be understood is reported by line.
 * Throws `no-column` for a file without names or prices.
 */
export function readRivals(
  text: string,
  home: string,
): {
  readonly read: ReadRow<ImportedRival>[]
  readonly problems: LineProblem[]
} {
  const { header, rows } = readCsv(text)
  const map = proposeColumns(header, headerWords)
  const missing = (['name', 'price'] as const).find((field) => map[field] === null)
  if (missing !== undefined) throw new CoreError('no-rival-column', { column: missing }, missing)
  return readRows(rows, (row) => {
    const cell = (field: keyof typeof map) => (map[field] === null ? '' : (row[map[field]] ?? '').trim())
    if (cell('name') === '') throw new FieldError('name', 'no name given')
    const currency = readCurrency(cell('currency'), home)
    const money = (field: 'price' | 'delivery') => toDecimal(readPrice(cell(field), currency), currency)
    if (cell('price') === '') throw new FieldError('price', 'no price given')
    return {
      name: cell('name'),
      kind: readWord(
        cell('kind') || 'prebuilt',
        {
          prebuilt: [],
          console: [],
          configured: ['configured by a shop'],
          offered: ['used', 'used machine offered'],
          own: ['own machine'],
        },
        'kind',
      ),
      price: money('price'),
      currency,
      taxPercent: number(cell('tax'), 'tax') ?? 0,
      shipping: cell('delivery') === '' ? '0' : money('delivery'),
      shippingStated: cell('delivery') !== '',
      cpu: cell('cpu'),
      graphics: cell('graphics'),
      parts: {
        memoryGb: number(cell('memory'), 'memory'),
        memoryModules: number(cell('modules'), 'modules'),
        memoryMts: number(cell('speed'), 'speed'),
        storageGb: number(cell('drive'), 'drive'),
        supplyW: number(cell('supply'), 'supply'),
        supplyMake: cell('make') || null,
      },
      warrantyMonths: number(cell('warranty'), 'warranty'),
      url: cell('url'),
      note: cell('note'),
    }
  })
}

function number(cell: string, what: string): number | null {
  if (cell === '') return null
  const value = Number(cell.replace(',', '.').replace(/\s*(gb|mt\/s|w|%|months?)$/i, ''))
  if (!(value >= 0)) throw new FieldError(what, `"${cell.slice(0, 20)}" is not a number`)
  return value
}
