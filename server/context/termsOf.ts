import type { Order, SourceTerms } from '#core/supply/landed/landedCost'
import type { sources } from '../db/schema/sources'

/**
 * The terms of a source as an order wants them; `isForeign`: it sells in another currency than the build's.
 *
 * @param inOrder an amount of the source's currency in that of the order; left out: they are one
 */
export function termsOf(
  source: typeof sources.$inferSelect,
  isForeign: boolean,
  inOrder: (amount: number) => number = (amount) => amount,
): SourceTerms & Pick<Order, 'import' | 'exchangeFeePercent'> {
  const terms: SourceTerms = {
    taxPercent: source.taxPercent,
    taxOnShipping: source.taxOnShipping,
    paymentFeePercent: source.paymentFeePercent,
    shipping: {
      kind: source.shippingKind,
      amount: inOrder(source.shippingAmount),
      ...(source.shippingFreeFrom === null ? {} : { freeFrom: inOrder(source.shippingFreeFrom) }),
    },
  }
  const isImport = source.importDutyPercent > 0 || source.importTaxPercent > 0
  return {
    ...terms,
    ...(isImport && {
      import: {
        dutyPercent: source.importDutyPercent,
        taxPercent: source.importTaxPercent,
        freeUnder: inOrder(source.importFreeUnder),
      },
    }),
    ...(isForeign && source.exchangeFeePercent > 0 && { exchangeFeePercent: source.exchangeFeePercent }),
  }
}
