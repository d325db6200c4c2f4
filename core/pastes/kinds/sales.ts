import { parseDecimal } from '../../money/decimal'
import { salesOf, type SalesOf } from '../../pricing/proposals/salesOf'
import type { SaleRead, SalesRead } from '../../reading/sales/saleRead'
import type { SoldRecord } from '../../reading/sales/soldRecord'
import type { PasteKindRecord } from '../pasteKind'
import type { PasteSeen } from '../pasteSeen'
import { areAsks } from './listings'

/** Past sales, and what they are sales of. */
export interface SalesOfPaste {
  readonly sales: SalesRead
  readonly of: readonly SalesOf[]
}

/** Records with a price and a day. */
export const sales: PasteKindRecord<SalesOfPaste> = {
  label: 'past sales',
  claim: (seen) => (areSales(seen) ? 60 : seen.sales.records.length > 1 ? 10 : 0),
  read: ({ sales, offer }) => ({
    sales,
    of: salesOf(
      sales.records.map(({ title }) => title),
      sales.records.map(asSold),
      offer,
    ),
  }),
}

function areSales(seen: PasteSeen): boolean {
  const { kind, records, problems } = seen.sales
  const dated = records.filter(({ soldOn, price }) => soldOn !== null && price !== null).length
  const isTable = kind === 'table'
  if (isTable && records.length > 0 && (dated > 0 || problems.some(({ code }) => code === 'ambiguous')))
    return true
  return dated > 0 && (isTable || !areAsks(seen.text)) && (records.length > 1 || seen.stated < 4)
}

/** With its place as id; null where price or day is not known. */
function asSold(record: SaleRead, at: number): SoldRecord | null {
  const { price, shipping, currency, soldOn, manner, condition, quantity } = record
  if (price === null || soldOn === null) return null
  return {
    id: String(at),
    source: 'paste',
    title: record.title,
    price: parseDecimal(price, currency),
    shipping: shipping === null ? 0 : parseDecimal(shipping, currency),
    currency,
    soldOn,
    manner: manner ?? 'fixed',
    condition: condition ?? 'used',
    ...(quantity === null ? {} : { quantity }),
  }
}
