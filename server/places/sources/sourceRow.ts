import { parseDecimal } from '#core/money/decimal'
import type { SourceInput } from '#shared/sources/schemas'

/** Library files: parts, sources, workloads, rivals, rates, and what goes with them. */

export function sourceRow({ shipping, importFreeUnder, ...source }: SourceInput) {
  return {
    ...source,
    importFreeUnder: parseDecimal(importFreeUnder, source.currency, 'importFreeUnder'),
    shippingKind: shipping.kind,
    shippingAmount: parseDecimal(shipping.amount, source.currency, 'shipping.amount'),
    shippingFreeFrom:
      shipping.freeFrom === null
        ? null
        : parseDecimal(shipping.freeFrom, source.currency, 'shipping.freeFrom'),
  }
}
