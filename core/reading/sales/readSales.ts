import { seenText } from '../listings/pageSource'
import { readBlocks } from './readBlocks'
import { readSalesTable } from './readSalesTable'
import type { SalesContext, SalesRead } from './saleRead'
import { tableIn } from './salesTable'

/**
 * Reads past sales as they are copied from a page of results, or from a table, in five languages and without knowing
 * the page; docs/formulas.md (Reading). Nothing is guessed: a field with two readings is null and stands among the
 * problems.
 *
 * @example readSales('Quill 70 8GB\n$131.00\nSold Oct 28', context).records // [{ price: '131.00', soldOn: '2026-10-28' }]
 */
export function readSales(text: string, context: SalesContext): SalesRead {
  // points of a list and signs for bold letters say nothing
  const plain = seenText(text)
    .replace(/^[ \t]*[•▪‣◦*–-][ \t]+/gm, '')
    .replace(/\*\*|__/g, '')
  const table = tableIn(plain, context)
  return table === null ? readBlocks(plain, context) : readSalesTable(table, context)
}
