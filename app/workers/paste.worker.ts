import { expose } from 'comlink'
import { parseDecimal } from '#core/money/decimal'
import type { Part } from '#core/parts/part'
import { salesOf } from '#core/pricing/proposals/salesOf'
import { seenText } from '#core/reading/listings/pageSource'
import { readOffer } from '#core/reading/listings/readOffer'
import { guessPaste } from '#core/reading/pastes/kindOf'
import type { SalesRead } from '#core/reading/sales/saleRead'
import type { SoldRecord } from '#core/reading/sales/soldRecord'
import { TitleReader } from '#core/reading/titles/partsInTitle'
import { queryForPart } from '#core/reading/titles/queryForPart'
import type { PasteReading, PasteWorker } from './pasteProtocol'

/** Reads a paste away from the page, so that a novel or a large table never holds it up. */
const worker: PasteWorker = {
  read({ text, library, ...context }): PasteReading {
    const { kind, why, sales, specs, scores, asks } = guessPaste(text, context)
    const named = library.filter(({ open }) => open !== true)
    const queries = new Map(named.map((part) => [part.id, queryForPart(part, named)]))
    const reader = new TitleReader(queries, context.today)
    const offer = { ...context, library, reader }
    return {
      kind,
      why,
      seen: seenText(text),
      sales,
      asks: { ...asks, asks: asks.asks.slice(0, mostAsks) },
      offersOf: asks.asks.slice(0, mostAsks).map((ask) => readOffer(ask.text, offer)),
      specs,
      scores,
      scoresOf: scores.rows.map(({ name }) => ({ partIds: indexed(reader.read(name).partIds, library) })),
      of:
        kind === 'sales'
          ? salesOf(
              sales.records.map(({ title }) => title),
              sales.records.map(asSold),
              offer,
            )
          : [],
      offer: readOffer(text.slice(0, 200_000), offer),
    }
  },
}

/** As many leads fit one paste. */
const mostAsks = 200

/** Only what frames come from has an index. */
const indexed = (partIds: readonly string[], library: readonly Part[]) =>
  partIds.filter((partId) =>
    library.some(({ id, role }) => id === partId && (role === 'cpu' || role === 'graphics')),
  )

function asSold(record: SalesRead['records'][number], at: number): SoldRecord | null {
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

expose(worker)
