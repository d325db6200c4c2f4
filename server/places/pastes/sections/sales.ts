import { eq, inArray } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import { recordOverrides, soldRecords } from '#server/db/schema/prices'
import { saleKey } from '../doubles'
import type { PasteSection } from '../pasteSection'

/**
 * Past sales. Those that are there already (same source, title, day and price) are counted, not added. What was decided
 * on a record goes with it.
 */
export const sales: PasteSection<'sales'> = {
  async keep(tx, { input, source, paste, today }) {
    if (input.sales.length === 0) return 0
    if (source === null) throw new CoreError('no-source', {}, 'source')
    let added = 0
    for (const [index, sale] of input.sales.entries()) {
      const at = `sales[${index}]`
      if (sale.soldOn > today) throw new CoreError('future-date', { day: sale.soldOn }, `${at}.soldOn`)
      const price = parseDecimal(sale.price, sale.currency, `${at}.price`)
      if (price <= 0) throw new CoreError('price', {}, `${at}.price`)
      const rows = await tx
        .insert(soldRecords)
        .values({
          ...sale,
          source: input.source!.name.trim(),
          externalId: saleKey(sale, price),
          price,
          shipping: sale.shipping === null ? 0 : parseDecimal(sale.shipping, sale.currency, `${at}.shipping`),
          manner: sale.manner ?? 'fixed',
          condition: sale.condition ?? 'used',
          importId: paste,
        })
        .onConflictDoNothing()
        .returning({ id: soldRecords.id })
      added += rows.length
    }
    return added
  },
  async takeBack(tx, _added, paste) {
    const own = tx.select({ id: soldRecords.id }).from(soldRecords).where(eq(soldRecords.importId, paste))
    await tx.delete(recordOverrides).where(inArray(recordOverrides.recordId, own))
    await tx.delete(soldRecords).where(eq(soldRecords.importId, paste))
  },
}
