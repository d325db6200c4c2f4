import type { Part } from '../../parts/part'
import { groupTitles, type TitleGroup } from '../../reading/sales/groupTitles'
import type { SoldRecord } from '../../reading/sales/soldRecord'
import type { TitleReader } from '../../reading/titles/partsInTitle'
import { queryForPart } from '../../reading/titles/queryForPart'
import type { CalendarDate } from '../../time/calendarDate'
import { streetPrice } from '../street/streetPrice'

/** Sales of one thing among several: a part of the library, or a proposal of a new one. */
export interface SalesOf {
  readonly partId: string | null
  readonly group: TitleGroup
  /** Places of the records that its query keeps, and of those it leaves out with the reason. */
  readonly kept: readonly number[]
  readonly left: readonly { readonly at: number; readonly reason: string }[]
  readonly marks: { readonly patient: number; readonly typical: number; readonly hurried: number } | null
}

export interface SalesContext {
  readonly library: readonly Part[]
  readonly today: CalendarDate
  readonly currency: string
  /** Reads titles by the queries of the library. */
  readonly reader: TitleReader
}

/**
 * What sales are of: parts of the library by their queries, and the rest by likeness as parts that could be made, each
 * with the street price that its query makes of them.
 *
 * @param titles of the sales
 * @param sold the sales themselves, with their place as id; null where price or day is not known
 * @example three titles of "Quill 70 8GB": one proposal, Quill 70 8 GB, with its three marks
 */
export function salesOf(
  titles: readonly string[],
  sold: readonly (SoldRecord | null)[],
  context: SalesContext,
): SalesOf[] {
  const { library, reader } = context
  const known = new Map<string, number[]>()
  const rest: number[] = []
  for (const [at, title] of titles.entries()) {
    const match = reader.read(title)
    if (match.kind === 'single') known.set(match.partIds[0]!, [...(known.get(match.partIds[0]!) ?? []), at])
    else rest.push(at)
  }
  const groups = groupTitles(rest.map((at) => titles[at]!))
  return [
    ...[...known].map(([partId, at]): SalesOf => {
      const part = library.find(({ id }) => id === partId)!
      const group: TitleGroup = { make: part.make, name: part.name, role: part.role, facts: {}, at }
      return { partId, group, ...judged(part, sold, library, context) }
    }),
    ...groups.map((group): SalesOf => {
      const own = { ...group, at: group.at.map((at) => rest[at]!) }
      const part: Part = {
        id: 'proposed',
        role: group.role ?? 'extra',
        make: group.make,
        name: group.name,
        facts: group.facts as Part['facts'],
      }
      return { partId: null, group: own, ...judged(part, sold, [...library, part], context) }
    }),
  ]
}

/** What a part's own query makes of the records: what it would sell for, and why others are left out. */
function judged(
  part: Part,
  sold: readonly (SoldRecord | null)[],
  library: readonly Part[],
  { today, currency }: Pick<SalesContext, 'today' | 'currency'>,
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
