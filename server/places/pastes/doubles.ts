import { and, eq, inArray } from 'drizzle-orm'
import { parseDecimal } from '#core/money/decimal'
import type { Queryable } from '#server/db/client'
import { soldRecords } from '#server/db/schema/prices'
import type { DoublesInput } from '#shared/pastes/schemas'

/** Bound values of one statement. */
const mostAtOnce = 500

/** What makes two sales of one source the same sale: day, price (minor units) and title. */
export const saleKey = ({ soldOn, title }: { soldOn: string; title: string }, price: number) =>
  `${soldOn}/${price}/${title}`.slice(0, 300)

/**
 * Which of the sales of a paste are kept already, by their places in the list. A sale whose price cannot be read is
 * none: keeping it says why.
 */
export async function doublesOf(db: Queryable, { source, sales }: DoublesInput): Promise<number[]> {
  const placesOf = new Map<string, number[]>()
  for (const [place, sale] of sales.entries()) {
    const key = keyOf(sale)
    if (key !== null) placesOf.set(key, [...(placesOf.get(key) ?? []), place])
  }
  const keys = [...placesOf.keys()]
  const there: number[] = []
  for (let from = 0; from < keys.length; from += mostAtOnce) {
    const rows = await db
      .select({ key: soldRecords.externalId })
      .from(soldRecords)
      .where(
        and(
          eq(soldRecords.source, source.trim()),
          inArray(soldRecords.externalId, keys.slice(from, from + mostAtOnce)),
        ),
      )
    there.push(...rows.flatMap(({ key }) => placesOf.get(key) ?? []))
  }
  return there.sort((a, b) => a - b)
}

function keyOf(sale: DoublesInput['sales'][number]): string | null {
  try {
    return saleKey(sale, parseDecimal(sale.price, sale.currency, 'price'))
  } catch {
    return null
  }
}
