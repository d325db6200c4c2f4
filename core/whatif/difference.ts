import type { Receipt, ReceiptLine } from '../ledger/receipt'

/** Kinds of money of a receipt; never compared with each other. */
export const receiptFigures = ['payNow', 'afterRebates', 'expected'] as const
export type ReceiptFigure = (typeof receiptFigures)[number]

/**
 * By how much the figures of a receipt change, in minor units of its currency. A line that is not known before and
 * after cancels; one that is not known on one side alone makes the difference not known.
 *
 * @example a card of 90.00 for one of 61.00, a drive without a price on both sides: total −29.00
 */
export function receiptDifference(before: Receipt, after: Receipt): Record<ReceiptFigure, number | null> {
  const of = (figure: ReceiptFigure): number | null => {
    const [was, is] = [before.totals[figure], after.totals[figure]]
    if (was !== null && is !== null) return is - was
    const [unknownThen, unknownNow] = [before, after].map((receipt) => unknownLines(receipt, figure))
    return unknownThen === unknownNow ? knownSum(after, figure) - knownSum(before, figure) : null
  }
  return { payNow: of('payNow'), afterRebates: of('afterRebates'), expected: of('expected') }
}

const linesOf = ({ groups }: Receipt): ReceiptLine[] => [...groups.paid, ...groups.toBuy, ...groups.owned]

const unknownLines = (receipt: Receipt, figure: ReceiptFigure) =>
  linesOf(receipt)
    .flatMap((line) => (line[figure] === null ? [line.id] : []))
    .sort()
    .join(' ')

const knownSum = (receipt: Receipt, figure: ReceiptFigure) =>
  linesOf(receipt).reduce((sum, line) => {
    const amount = line[figure]
    return amount === null ? sum : sum + amount
  }, 0)
