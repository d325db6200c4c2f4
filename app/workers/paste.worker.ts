import { expose } from 'comlink'
import { parseDecimal } from '#core/money/decimal'
import type { Part } from '#core/parts/part'
import { streetPrice } from '#core/pricing/street/streetPrice'
import { readOffer } from '#core/reading/listings/readOffer'
import { guessPaste } from '#core/reading/pastes/kindOf'
import { groupTitles, type TitleGroup } from '#core/reading/sales/groupTitles'
import type { SalesRead } from '#core/reading/sales/readSales'
import type { SoldRecord } from '#core/reading/sales/soldRecord'
import { TitleReader } from '#core/reading/titles/partsInTitle'
import { queryForPart } from '#core/reading/titles/queryForPart'
import type { PasteQuestion, PasteReading, PasteWorker, SalesOf } from './pasteProtocol'

/** Reads a paste away from the page, so that a novel or a large table never holds it up. */
const worker: PasteWorker = {
  read({ text, library, ...context }): PasteReading {
    const { kind, why, sales, specs, scores, asks } = guessPaste(text, context)
    const queries = new Map(library.map((part) => [part.id, queryForPart(part, library)]))
    const reader = new TitleReader(queries, context.today)
    const offer = { ...context, library, reader }
    return {
      kind,
      why,
      sales,
      asks: { ...asks, asks: asks.asks.slice(0, mostAsks) },
      offersOf: asks.asks.slice(0, mostAsks).map((ask) => readOffer(ask.text, offer)),
      specs,
      scores,
      scoresOf: scores.rows.map(({ name }) => ({ partIds: indexed(reader.read(name).partIds, library) })),
      of: kind === 'sales' ? salesOf(sales, { library, ...context }, reader) : [],
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

/** What the sales are of: parts of the library by their queries, and the rest by likeness as parts that could be made. */
function salesOf(
  { records }: SalesRead,
  context: Pick<PasteQuestion, 'today' | 'currency' | 'library'>,
  reader: TitleReader,
): SalesOf[] {
  const known = new Map<string, number[]>()
  const rest: number[] = []
  for (const [at, { title }] of records.entries()) {
    const match = reader.read(title)
    if (match.kind === 'single') known.set(match.partIds[0]!, [...(known.get(match.partIds[0]!) ?? []), at])
    else rest.push(at)
  }
  const groups = groupTitles(rest.map((at) => records[at]!.title))
  const sold = records.map(asSold)
  return [
    ...[...known].map(([partId, at]): SalesOf => {
      const part = context.library.find(({ id }) => id === partId)!
      const group: TitleGroup = { make: part.make, name: part.name, role: part.role, facts: {}, at }
      return { partId, group, ...judged(part, sold, context.library, context) }
    }),
    ...groups.map((group): SalesOf => {
      const own = { ...group, at: group.at.map((at) => rest[at]!) }
      const part: Part = {
        id: 'pasted',
        role: group.role ?? 'extra',
        make: group.make,
        name: group.name,
        facts: group.facts as Part['facts'],
      }
      return { partId: null, group: own, ...judged(part, sold, [...context.library, part], context) }
    }),
  ]
}

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

/** What a part's own query makes of the records: what it would sell for, and why others are left out. */
function judged(
  part: Part,
  sold: readonly (SoldRecord | null)[],
  library: readonly Part[],
  { today, currency }: Pick<PasteQuestion, 'today' | 'currency'>,
): Pick<SalesOf, 'kept' | 'left' | 'marks'> {
  const records = sold.filter((record) => record !== null)
  const reading = streetPrice({ ...queryForPart(part, library), asOf: today, currency }, records, {
    rates: [],
    missingRate: 'drop',
  })
  return {
    kept: reading.kept.map(({ id }) => Number(id)),
    left: reading.dropped
      .filter(({ reason }) => reason !== 'missing-word')
      .map(({ id, reason, detail }) => ({ at: Number(id), reason: detail || reason })),
    marks: reading.marks,
  }
}
expose(worker)
